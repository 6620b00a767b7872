/**
 * Judges what was measured of a tool before it goes anywhere.
 *
 * <p>{@link arborline.core.measure.MeasurementJudge} holds an entered size against the tool it is
 * of, its neighbours and what was entered just before, and says what may have gone wrong.
 */
package arborline.core.measure;
