package arborline.server.duplicate;

import arborline.core.duplicate.Resemblance.Reason;

/** Reasons in words. */
final class ReasonText {

  private ReasonText() {}

  static String of(Reason reason) {
    String symbols = String.join(", ", reason.symbols());
    return switch (reason.kind()) {
      case SAME_VENDOR_ITEM -> "the same item of its vendor";
      case SAME_SHAPE -> "all sizes that both state are the same";
      case SAME_CODE_SPELT_OTHERWISE -> "the same code, spelt otherwise";
      case SAME_NAME -> "the same name";
      case OTHER_VENDOR_ITEM -> "two items of one vendor";
      case OTHER_CLASS -> "another class";
      case OTHER_SIZES -> "other sizes: " + symbols;
      case OTHER_WORDS -> "other " + symbols;
    };
  }
}
