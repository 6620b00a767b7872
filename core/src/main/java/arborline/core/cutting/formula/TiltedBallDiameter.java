package arborline.core.cutting.formula;

import com.google.auto.service.AutoService;

/** Effective diameter of a ball that is tilted. */
@AutoService(CuttingQuantity.class)
public final class TiltedBallDiameter implements CuttingQuantity {

  public static final Formula FORMULA =
      Formula.of(
              "deff_ball_tilt",
              "mm",
              "D*sin(beta+acos((D-2ap)/D)), angle capped at 90",
              in ->
                  in.get("D")
                      * Math.sin(
                          Math.min(
                              Math.PI / 2,
                              Math.toRadians(in.get("b"))
                                  + Math.acos(1 - 2 * in.get("ap") / in.get("D")))))
          .needs("D", "ap", "b")
          .free("b")
          .when(in -> in.get("ap") <= in.get("D") / 2, "need 0 < ap <= D/2")
          .when(in -> in.get("b") >= 0 && in.get("b") <= 90, "need 0 <= b <= 90");

  @Override
  public Formula formula() {
    return FORMULA;
  }
}
