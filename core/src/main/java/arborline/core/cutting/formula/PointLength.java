package arborline.core.cutting.formula;

import com.google.auto.service.AutoService;

/** Point length of a drill. */
@AutoService(CuttingQuantity.class)
public final class PointLength implements CuttingQuantity {

  public static final Formula FORMULA =
      Formula.of("point_length", "mm", "(D-DCN)/2/tan(SIG/2)", in -> EdgeGeometry.cone(in, "D"))
          .needs("D", "SIG")
          .free("DCN")
          .when(Conditions.POINTED, Conditions.NOT_POINTED)
          .when(in -> in.get("DCN", 0) >= 0, "DCN must be >= 0")
          .when(in -> in.get("DCN", 0) < in.get("D"), "DCN must be smaller than D");

  @Override
  public Formula formula() {
    return FORMULA;
  }
}
