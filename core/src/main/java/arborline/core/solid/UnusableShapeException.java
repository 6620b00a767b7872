package arborline.core.solid;

/** Says that a shape of a file cannot be read: on which line, and why. */
final class UnusableShapeException extends RuntimeException {

  private static final long serialVersionUID = 1L;

  private final long line;

  UnusableShapeException(long line, String why) {
    super(why);
    this.line = line;
  }

  long line() {
    return line;
  }
}
