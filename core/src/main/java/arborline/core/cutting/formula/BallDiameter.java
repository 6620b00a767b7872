package arborline.core.cutting.formula;

import com.google.auto.service.AutoService;

/** Effective diameter of a ball on a flat. */
@AutoService(CuttingQuantity.class)
public final class BallDiameter implements CuttingQuantity {

  public static final Formula FORMULA =
      Formula.of(
              "deff_ball",
              "mm",
              "2*sqrt(ap*(D-ap))",
              in -> 2 * Math.sqrt(in.get("ap") * (in.get("D") - in.get("ap"))))
          .needs("D", "ap")
          .when(
              in -> in.get("ap") <= in.get("D") / 2,
              "need 0 < ap <= D/2 (above the ball equator the effective diameter is D)");

  @Override
  public Formula formula() {
    return FORMULA;
  }
}
