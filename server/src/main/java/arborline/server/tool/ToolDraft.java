package arborline.server.tool;

import arborline.core.exchange.Cell;
import arborline.core.exchange.RawItem;
import arborline.core.quantity.Unit;
import arborline.core.tool.Tool;
import arborline.server.support.Refusal;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.SortedMap;
import java.util.TreeMap;
import org.jspecify.annotations.Nullable;

/**
 * A tool as somebody types it.
 *
 * @param values by property symbol
 * @param notes by heading, a plain note under the empty one; null for those that the tool has
 */
public record ToolDraft(
    String code,
    String name,
    String classId,
    Map<String, Typed> values,
    @Nullable Map<String, String> notes) {

  private static final int MOST_NOTES = 100;
  private static final int LONGEST_HEADING = 60;
  private static final int LONGEST_NOTE = 4000;

  /**
   * One typed value.
   *
   * @param text may carry its own unit
   * @param unit unit where the text names none; null for the property's own
   */
  public record Typed(String text, @Nullable String unit, @Nullable Boolean defaulted) {}

  /** The same tool with another class. */
  ToolDraft with(String otherClass, SortedMap<String, Cell> cells) {
    return new ToolDraft(code, name, otherClass, typed(cells), notes);
  }

  static Map<String, Typed> typed(SortedMap<String, Cell> cells) {
    Map<String, Typed> typed = new TreeMap<>();
    cells.forEach((symbol, cell) ->
        typed.put(
            symbol,
            new Typed(
                cell.formula().orElse(cell.text()),
                cell.unit().map(Unit::code).orElse(null),
                cell.defaulted())));
    return typed;
  }

  static SortedMap<String, Cell> cells(@Nullable Map<String, Typed> typed) {
    SortedMap<String, Cell> cells = new TreeMap<>();
    if (typed != null) {
      typed.forEach((symbol, value) -> cells.put(symbol, cell(symbol, value)));
    }
    return cells;
  }

  /** A tool as it would be typed. */
  public static ToolDraft of(Tool tool) {
    Map<String, Typed> values = new TreeMap<>();
    tool.values()
        .forEach((symbol, value) -> {
          ValueView view = ValueView.of(value);
          String text = view.formula() == null ? view.text() : view.formula();
          values.put(symbol, new Typed(text, view.unit(), view.defaulted()));
        });
    return new ToolDraft(tool.code(), tool.name(), tool.toolClass(), values, tool.notes());
  }

  RawItem raw() {
    SortedMap<String, Cell> cells = cells(values);
    checkedNotes().forEach((heading, text) -> cells.put(RawItem.note(heading), Cell.of(text)));
    cells.put(RawItem.CODE, Cell.of(strip(code)));
    cells.put(RawItem.NAME, Cell.of(strip(name)));
    cells.put(RawItem.CLASS, Cell.of(strip(classId)));
    return new RawItem(1, cells, List.of());
  }

  private Map<String, String> checkedNotes() {
    Map<String, String> checked = new TreeMap<>();
    if (notes == null) {
      return checked;
    }
    if (notes.size() > MOST_NOTES) {
      throw Refusal.badRequest("a tool has at most %d notes".formatted(MOST_NOTES));
    }
    notes.forEach((heading, text) -> {
      if (heading.length() > LONGEST_HEADING || text != null && text.length() > LONGEST_NOTE) {
        throw Refusal.badRequest(
            "a note has at most %d characters, its heading at most %d"
                .formatted(LONGEST_NOTE, LONGEST_HEADING));
      }
      if (text != null && !text.isBlank()) {
        checked.put(heading.strip(), text.strip());
      }
    });
    return checked;
  }

  private static Cell cell(String symbol, Typed typed) {
    Optional<Unit> unit =
        Optional.ofNullable(typed.unit())
            .filter(text -> !text.isBlank())
            .map(text ->
                Unit.named(text)
                    .orElseThrow(() ->
                        Refusal.badRequest("%s: '%s' is not a unit".formatted(symbol, text))));
    return new Cell(
        typed.text() == null ? "" : typed.text(), unit, Boolean.TRUE.equals(typed.defaulted()));
  }

  private static String strip(@Nullable String text) {
    return text == null ? "" : text.strip();
  }
}
