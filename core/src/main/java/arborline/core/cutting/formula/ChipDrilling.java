package arborline.core.cutting.formula;

import com.google.auto.service.AutoService;

/** Chip thickness in drilling. */
@AutoService(CuttingQuantity.class)
public final class ChipDrilling implements CuttingQuantity {

  public static final Formula FORMULA =
      Formula.of(
              "h_drill",
              "mm",
              "fn/z*sin(SIG/2), z = 2 where it is not given",
              in -> in.get("fn") / in.get("z", 2) * Math.sin(Math.toRadians(in.get("SIG") / 2)))
          .needs("fn", "SIG")
          .may("z")
          .when(Conditions.POINTED, Conditions.NOT_POINTED);

  @Override
  public Formula formula() {
    return FORMULA;
  }
}
