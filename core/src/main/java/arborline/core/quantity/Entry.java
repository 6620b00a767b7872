package arborline.core.quantity;

/** What became of a text that somebody entered where a quantity belongs. */
public sealed interface Entry {

  /** It is a quantity. */
  record Understood(Quantity quantity) implements Entry {}

  /**
   * It is not.
   *
   * @param reason what is wrong with it
   * @param remedy what to write instead
   */
  record Refused(String reason, String remedy) implements Entry {}
}
