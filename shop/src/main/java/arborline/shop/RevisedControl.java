package arborline.shop;

import arborline.shop.RevisedState.HeldTool;
import com.fasterxml.jackson.annotation.JsonInclude;
import java.math.BigDecimal;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;

/**
 * A simulated mill-turn control: its tool table is JSON with a revision, and a writing that was
 * thought out on another revision is refused. Upper places 1 to 36, lower ones L1 to L14.
 */
final class RevisedControl extends SimulatedControl<RevisedState> {

  private static final String TABLE = "tooltable.json";
  private static final String PLACES = "[1-9]|[12]\\d|3[0-6]|L[1-9]|L1[0-4]";

  RevisedControl(StateFile<RevisedState> file) {
    super(file);
  }

  @Override
  public synchronized String document(String name) {
    return name.equals(TABLE) ? table() : null;
  }

  /** A row of the table that is sent. */
  @JsonInclude(JsonInclude.Include.NON_NULL)
  record Row(
      String place,
      Boolean inSpindle,
      String tool,
      Integer number,
      Integer offset,
      String name,
      String spindle,
      Integer orientation,
      List<Map<String, BigDecimal>> edges) {}

  record Table(String control, String unit, Instant clock, long revision, List<Row> tools) {}

  private String table() {
    List<Row> rows = new ArrayList<>();
    state()
        .tools()
        .forEach((place, tool) -> rows.add(row(place, tool, place.equals(state().inSpindle()))));
    return PanelEndpoint.JSON.writeValueAsString(
        new Table("X1", "mm", now(), state().revision(), rows));
  }

  private static Row row(String place, HeldTool tool, boolean inSpindle) {
    return new Row(
        place,
        inSpindle ? true : null,
        tool.tool(),
        tool.number(),
        tool.offset(),
        tool.name(),
        tool.spindle(),
        tool.orientation(),
        tool.edges());
  }

  /** What is to be changed, and on which revision. */
  record Order(Long revision, List<String> clear, List<Row> set) {}

  @Override
  public synchronized boolean take(String name, String text) {
    if (!name.equals(TABLE)) {
      return false;
    }
    needWritable();
    Order order = PanelEndpoint.JSON.readValue(text, Order.class);
    if (order.revision() == null || order.revision() != state().revision()) {
      throw new RefusedException(
          "revision %s was written on, it is %d now"
              .formatted(order.revision(), state().revision()));
    }
    try {
      for (String place : order.clear() == null ? List.<String>of() : order.clear()) {
        row();
        state().tools().remove(place);
      }
      for (Row row : order.set() == null ? List.<Row>of() : order.set()) {
        row();
        needUnlocked(row.number());
        put(row);
      }
    } finally {
      remember(state().next());
    }
    return true;
  }

  private void put(Row row) {
    if (row.place() == null || !row.place().matches(PLACES)) {
      throw new RefusedException("there is no place " + row.place());
    }
    state().tools().values().removeIf(held -> held.tool().equals(row.tool()));
    state()
        .tools()
        .put(
            row.place(),
            new HeldTool(
                row.tool(),
                row.number(),
                row.offset(),
                row.name(),
                row.spindle(),
                row.orientation(),
                row.edges()));
  }

  /**
   * What the operator changes of a tool.
   *
   * @param edge from 1
   * @param values by name
   * @param spindle null leaves it as it is
   * @param orientation null leaves it as it is
   * @param inSpindle true to call it into the spindle
   */
  record PanelEntry(
      String place,
      int edge,
      Map<String, BigDecimal> values,
      String spindle,
      Integer orientation,
      boolean inSpindle) {}

  @Override
  synchronized void operated(String json) {
    PanelEntry entry = PanelEndpoint.JSON.readValue(json, PanelEntry.class);
    HeldTool tool = state().tools().get(entry.place());
    if (tool == null) {
      throw new IllegalArgumentException("nothing is in " + entry.place());
    }
    List<Map<String, BigDecimal>> edges = new ArrayList<>(tool.edges());
    if (entry.values() != null) {
      Map<String, BigDecimal> edge = new HashMap<>(edges.get(entry.edge() - 1));
      edge.putAll(entry.values());
      edges.set(entry.edge() - 1, new TreeMap<>(edge));
    }
    state()
        .tools()
        .put(
            entry.place(),
            new HeldTool(
                tool.tool(),
                tool.number(),
                tool.offset(),
                tool.name(),
                entry.spindle() == null ? tool.spindle() : entry.spindle(),
                entry.orientation() == null ? tool.orientation() : entry.orientation(),
                edges));
    String held = entry.inSpindle() ? entry.place() : state().inSpindle();
    remember(new RevisedState(state().revision() + 1, state().tools(), held));
  }
}
