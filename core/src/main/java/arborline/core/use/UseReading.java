package arborline.core.use;

import arborline.core.finding.Finding;
import arborline.core.turning.EdgeClearances;
import arborline.core.turning.MountedFront;
import arborline.core.turning.MountedView;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * What follows from a use.
 *
 * @param orientation tip orientation 0 to 8; null where the machine turns no work, or none follows
 * @param sense {@code M3} or {@code M4} of what turns; null where nothing may
 * @param tip direction from nose centre to imaginary tip in program X and Z; empty for none
 * @param feed way of the feed of a turning tool, as {@code toward_chuck}; null for others
 * @param clearances null where edge angle or corner angle is not known
 * @param view from above; null where it cannot be drawn
 * @param front along the spindle; null where it cannot be drawn
 * @param findings what cannot be and what to look at
 */
public record UseReading(
    @Nullable Integer orientation,
    @Nullable String sense,
    List<Integer> tip,
    @Nullable String feed,
    @Nullable EdgeClearances clearances,
    @Nullable MountedView view,
    @Nullable MountedFront front,
    List<Finding> findings) {}
