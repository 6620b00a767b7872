package arborline.core.table;

import java.util.Optional;

/**
 * What a decision means for one place.
 *
 * @param write what goes to the control, if anything does
 * @param plan what the plan must say afterwards
 */
public record PlaceOutcome(String place, Optional<RowWrite> write, TableEntry plan) {}
