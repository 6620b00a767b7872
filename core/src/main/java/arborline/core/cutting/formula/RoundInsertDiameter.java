package arborline.core.cutting.formula;

import com.google.auto.service.AutoService;

/** Effective diameter of a cutter with round inserts. */
@AutoService(CuttingQuantity.class)
public final class RoundInsertDiameter implements CuttingQuantity {

  public static final Formula FORMULA =
      Formula.of(
              "deff_round",
              "mm",
              "D0+2*sqrt(ap*(ic-ap)), D0 = DCX - ic",
              in -> in.get("D0") + 2 * Math.sqrt(in.get("ap") * (in.get("ic") - in.get("ap"))))
          .needs("D0", "ic", "ap")
          .when(in -> in.get("ap") <= in.get("ic") / 2, "need 0 < ap <= ic/2");

  @Override
  public Formula formula() {
    return FORMULA;
  }
}
