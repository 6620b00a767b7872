package arborline.core.loadplan;

/** The time was not enough to say whether tools can be in. */
public final class LoadUnsettledException extends RuntimeException {

  private static final long serialVersionUID = 1L;

  LoadUnsettledException() {
    super("it is not settled in the time there was whether all of these tools can be in");
  }
}
