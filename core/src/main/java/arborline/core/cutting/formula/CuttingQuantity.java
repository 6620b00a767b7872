package arborline.core.cutting.formula;

/**
 * A quantity of cutting that a formula gives. One file each, found by {@code @AutoService}; a new
 * one is a new file and its row among the worked cases.
 */
public interface CuttingQuantity {

  Formula formula();
}
