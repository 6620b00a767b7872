package arborline.core.cutting.formula;

import com.google.auto.service.AutoService;

/** Depth of a countersink. */
@AutoService(CuttingQuantity.class)
public final class CountersinkDepth implements CuttingQuantity {

  public static final Formula FORMULA =
      Formula.of("csk_depth", "mm", "(Dc-DCN)/2/tan(SIG/2)", in -> EdgeGeometry.cone(in, "Dc"))
          .needs("Dc", "SIG")
          .free("DCN")
          .when(in -> in.get("SIG") < 180, "SIG must be > 0 and < 180")
          .when(in -> in.get("DCN", 0) >= 0, "DCN must be >= 0")
          .when(in -> in.get("DCN", 0) < in.get("Dc"), "DCN must be smaller than Dc");

  @Override
  public Formula formula() {
    return FORMULA;
  }
}
