package arborline.shop;

/** The control drops the connection now. */
final class CutOffException extends RuntimeException {

  private static final long serialVersionUID = 1L;
}
