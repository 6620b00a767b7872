package arborline.core.cutting.formula;

import com.google.auto.service.AutoService;

/** Largest chip thickness in side milling. */
@AutoService(CuttingQuantity.class)
public final class LargestChipAtSide implements CuttingQuantity {

  public static final Formula FORMULA =
      Formula.of(
              "hex_side",
              "mm",
              EdgeGeometry.THINNING,
              in -> in.get("fz") * EdgeGeometry.thinning(in))
          .needs("fz", "ae", "D")
          .may("ka")
          .when(Conditions.ENGAGED, Conditions.NOT_ENGAGED);

  @Override
  public Formula formula() {
    return FORMULA;
  }
}
