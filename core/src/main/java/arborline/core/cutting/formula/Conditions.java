package arborline.core.cutting.formula;

import java.util.function.Predicate;

/** Conditions that several formulas share, with the reason given where one does not hold. */
final class Conditions {

  static final Predicate<Inputs> ENGAGED = in -> in.get("ae") <= in.get("D");
  static final String NOT_ENGAGED = "ae cannot exceed D";
  static final Predicate<Inputs> EFFICIENT = in -> in.get("eta", 1) <= 1;
  static final String NOT_EFFICIENT = "eta must be <= 1";
  static final Predicate<Inputs> POINTED = in -> in.get("SIG") <= 180;
  static final String NOT_POINTED = "SIG must be > 0 and <= 180";
  static final Predicate<Inputs> WHOLE_TEETH = in -> in.get("z") == Math.rint(in.get("z"));
  static final String NOT_WHOLE = "z must be a whole number";

  private Conditions() {}
}
