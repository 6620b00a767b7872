package arborline.core.exchange;

import arborline.core.quantity.Unit;
import java.util.Optional;

/**
 * What a writer must know.
 *
 * @param title name of the library
 * @param contents what occurs in the bundles to come
 * @param unit millimetre or inch to convert all lengths; empty to keep every value as authored
 */
public record WriteOptions(String title, Contents contents, Optional<Unit> unit) {}
