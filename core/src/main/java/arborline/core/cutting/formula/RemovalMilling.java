package arborline.core.cutting.formula;

import com.google.auto.service.AutoService;

/** Removal rate in milling. */
@AutoService(CuttingQuantity.class)
public final class RemovalMilling implements CuttingQuantity {

  public static final Formula FORMULA =
      Formula.of(
              "Q_mill",
              "cm3/min",
              "ap*ae*vf/1000",
              in -> in.get("ap") * in.get("ae") * in.get("vf") / 1000)
          .needs("ap", "ae", "vf");

  @Override
  public Formula formula() {
    return FORMULA;
  }
}
