package arborline.core.cutting.formula;

import com.google.auto.service.AutoService;

/** Static deflection at the tip. */
@AutoService(CuttingQuantity.class)
public final class TipDeflection implements CuttingQuantity {

  public static final Formula FORMULA =
      Formula.of(
              "deflection",
              "um",
              "sum F*(x2^3-x1^3)/(3*E*I); taper: integrate F*x^2/(E*I)",
              in -> Deflection.of(in.get("F"), in.segments()))
          .needs("F")
          .when(in -> !in.segments().isEmpty(), "segs is missing")
          .when(
              in ->
                  in.segments().stream()
                      .allMatch(segment ->
                          segment.length() > 0
                              && segment.from() > 0
                              && segment.to() > 0
                              && segment.modulus() > 0),
              "every length, diameter and modulus of segs must be > 0");

  @Override
  public Formula formula() {
    return FORMULA;
  }
}
