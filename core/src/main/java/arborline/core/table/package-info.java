/**
 * Keeps a control's tool table in step with the plan.
 *
 * <p>{@link arborline.core.table.Reconciler} compares plan, last agreed state and control; {@link
 * arborline.core.table.WritePlan} turns decisions into what is written; a {@link
 * arborline.core.table.ControlDialect} puts that into the control's own terms. A new dialect is one
 * file marked {@code AutoService(ControlDialect.class)}. Registers are millimetres.
 */
package arborline.core.table;
