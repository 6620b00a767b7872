package arborline.server.inspection;

import arborline.core.exchange.Cell;
import arborline.core.exchange.CellsJson;
import arborline.core.exchange.RawItem;
import arborline.core.finding.Finding;
import arborline.core.property.Dictionary;
import arborline.core.quantity.Unit;
import arborline.server.delivery.DeliveryLine;
import arborline.server.support.Json;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** Replaces cells of a line by what is written there from now on. */
@Component
class CellReplacing {

  private final Json json;

  CellReplacing(Json json) {
    this.json = json;
  }

  /** Makes a cell of a text that stands in an item from now on. */
  interface NewCell {
    Cell of(RawItem item, String symbol, String text);
  }

  void replace(DeliveryLine line, Map<String, String> cells, NewCell made) {
    TreeMap<String, Cell> replacements = new TreeMap<>();
    RawItem raw = line.raw().item();
    cells.forEach((symbol, text) -> replacements.put(symbol, made.of(raw, symbol, text)));
    line.cells = CellsJson.toText(raw.with(replacements).cells());
    line.readingFindings = unsettled(line.readingFindings, cells);
    line.lookedAt = false;
    line.allowed = null;
  }

  /** What went wrong while reading stays until the cell that it is about is replaced. */
  @Nullable String unsettled(@Nullable String reading, Map<String, String> cells) {
    if (reading == null) {
      return null;
    }
    List<Finding> left =
        Stream.of(json.read(reading, Finding[].class))
            .filter(found -> !found.properties().isEmpty())
            .filter(found -> !cells.containsKey(found.properties().getFirst()))
            .toList();
    return left.isEmpty() ? null : json.text(left);
  }

  static Cell cell(RawItem raw, String symbol, String text) {
    Cell before = raw.cells().get(symbol);
    return new Cell(text, before == null ? Optional.empty() : before.unit(), false);
  }

  /** What a person typed is meant in the unit of the values beside it, which is shown there. */
  static Cell typed(RawItem raw, String symbol, String text) {
    Optional<Unit> unit = Dictionary.standard().find(symbol).flatMap(raw::unitBeside);
    return unit.isPresent() ? Cell.of(text, unit.get()) : cell(raw, symbol, text);
  }
}
