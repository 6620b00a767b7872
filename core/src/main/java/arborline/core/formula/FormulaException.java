package arborline.core.formula;

/** A formula cannot be read or worked out; caught inside this package. */
final class FormulaException extends RuntimeException {

  private static final long serialVersionUID = 1L;

  FormulaException(String reason) {
    super(reason, null, false, false);
  }
}
