package arborline.core.designation;

/** Ends the reading of a designation at the position that is wrong. */
final class WrongDesignation extends RuntimeException {

  private static final long serialVersionUID = 1;

  private final String code;

  WrongDesignation(String code, String message) {
    super(message, null, false, false);
    this.code = code;
  }

  String code() {
    return code;
  }
}
