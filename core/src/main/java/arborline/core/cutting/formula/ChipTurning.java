package arborline.core.cutting.formula;

import com.google.auto.service.AutoService;

/** Chip thickness in turning. */
@AutoService(CuttingQuantity.class)
public final class ChipTurning implements CuttingQuantity {

  public static final Formula FORMULA =
      Formula.of("h_turn", "mm", "fn*sin(kappa)", in -> in.get("fn") * EdgeGeometry.sinKappa(in))
          .needs("fn")
          .may("ka");

  @Override
  public Formula formula() {
    return FORMULA;
  }
}
