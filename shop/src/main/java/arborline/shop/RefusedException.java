package arborline.shop;

/** The control refuses a row; the message is what it shows. */
final class RefusedException extends RuntimeException {

  private static final long serialVersionUID = 1L;

  RefusedException(String message) {
    super(message);
  }
}
