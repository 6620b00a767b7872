package arborline.core.exchange;

import arborline.core.quantity.Unit;
import java.util.List;
import java.util.Optional;

/**
 * What a writer must know.
 *
 * @param title name of the library
 * @param symbols properties that occur, in the order of the dictionary
 * @param unit millimetre or inch to convert all lengths; empty to keep every value as authored
 */
public record WriteOptions(String title, List<String> symbols, Optional<Unit> unit) {}
