package arborline.core.cutting.formula;

import com.google.auto.service.AutoService;

/** Removal rate in drilling. */
@AutoService(CuttingQuantity.class)
public final class RemovalDrilling implements CuttingQuantity {

  public static final Formula FORMULA =
      Formula.of(
              "Q_drill",
              "cm3/min",
              "pi*D^2/4*vf/1000",
              in -> Math.PI * in.get("D") * in.get("D") / 4 * in.get("vf") / 1000)
          .needs("D", "vf");

  @Override
  public Formula formula() {
    return FORMULA;
  }
}
