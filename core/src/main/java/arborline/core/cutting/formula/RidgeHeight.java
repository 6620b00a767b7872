package arborline.core.cutting.formula;

import com.google.auto.service.AutoService;

/** Height of the ridges between two rows of a ball. */
@AutoService(CuttingQuantity.class)
public final class RidgeHeight implements CuttingQuantity {

  public static final Formula FORMULA =
      Formula.of(
              "scallop",
              "um",
              "1000*(R-sqrt(R^2-ae^2/4))",
              in ->
                  1000
                      * (in.get("R")
                          - Math.sqrt(in.get("R") * in.get("R") - in.get("ae") * in.get("ae") / 4)))
          .needs("R", "ae")
          .when(in -> in.get("ae") <= 2 * in.get("R"), "ae cannot exceed 2*R");

  @Override
  public Formula formula() {
    return FORMULA;
  }
}
