package arborline.core.cutting;

import java.util.List;

/**
 * What a cut takes and gives at one speed and feed.
 *
 * @param rate vf, mm/min
 * @param chip largest chip thickness, mm
 * @param removal Q, cm3/min
 * @param power kW
 * @param force across the tool, which bends it, N; 0 where nothing does
 * @param figures what else follows
 */
record Load(
    double rate, double chip, double removal, double power, double force, List<Figure> figures) {}
