package arborline.shop;

import arborline.shop.NodeState.NodeTool;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.stream.Collectors;

/**
 * A simulated five-axis control: sister tools under one number, life and status of each, up to four
 * edges. It refuses what concerns a locked tool, and a tool that is wider than its neighbours leave
 * room for. A tool that is loaded has no sizes yet.
 */
final class NodeControl extends SimulatedControl<NodeState> {

  private static final int PLACES = 60;
  private static final String SPINDLE = "SPINDLE";
  private static final String DIAMETER = "Diameter";

  /** Widest tool beside which both places of the chain may be taken, mm. */
  private static final double WIDEST_BESIDE_OTHERS = 80;

  private static final List<String> LIFE = List.of("Life.Limit", "Life.Warning", "Life.Used");
  private static final List<String> EDGE =
      List.of("Length", DIAMETER, "LengthWear", "DiameterWear");
  private static final int EDGES = 4;

  private Runnable changed = () -> {};

  NodeControl(StateFile<NodeState> file) {
    super(file);
  }

  /** Who is told whenever somebody changed its tools or its behaviour at the panel. */
  void onChange(Runnable listener) {
    changed = listener;
  }

  @Override
  void changed() {
    changed.run();
  }

  @Override
  public String document(String name) {
    return null;
  }

  @Override
  public boolean take(String name, String text) {
    return false;
  }

  /** Names of the numbers that each tool has. */
  static List<String> values() {
    List<String> names = new java.util.ArrayList<>(LIFE);
    for (int edge = 1; edge <= EDGES; edge++) {
      for (String value : EDGE) {
        names.add("Edge%d.%s".formatted(edge, value));
      }
    }
    return names;
  }

  /** Which tools take turns under each number. */
  synchronized Map<Integer, String> groups() {
    return state().tools().entrySet().stream()
        .collect(
            Collectors.groupingBy(
                tool -> tool.getValue().number(),
                TreeMap::new,
                Collectors.mapping(Map.Entry::getKey, Collectors.joining(" "))));
  }

  private NodeTool tool(String key) {
    NodeTool tool = state().tools().get(key);
    if (tool == null) {
      throw new RefusedException("ALARM 044: there is no tool " + key);
    }
    return tool;
  }

  private void needFree(String key, NodeTool tool) {
    needWritable();
    needUnlocked(tool.number());
    if (tool.locked()) {
      throw new RefusedException("ALARM 080: tool %s is locked".formatted(key));
    }
  }

  /** Sets a number of a tool; null makes it not set. */
  synchronized void write(String key, String name, Double value) {
    NodeTool tool = tool(key);
    row();
    needFree(key, tool);
    if (!values().contains(name)) {
      throw new RefusedException("ALARM 045: %s cannot be written".formatted(name));
    }
    boolean wide = name.endsWith("." + DIAMETER) && value != null && value > WIDEST_BESIDE_OTHERS;
    if (wide && !neighbours(tool.place(), key).isEmpty()) {
      throw new RefusedException(
          "ALARM 047: %s is too wide beside %s"
              .formatted(key, String.join(", ", neighbours(tool.place(), key).keySet())));
    }
    TreeMap<String, Double> values = new TreeMap<>(tool.values());
    if (value == null) {
      values.remove(name);
    } else {
      values.put(name, value);
    }
    keep(key, new NodeTool(tool.place(), tool.number(), tool.name(), tool.status(), values));
  }

  /** Puts a tool into a place; what stood there stands nowhere from then on. */
  synchronized void load(String code, int sister, String place, int number, String name) {
    String key = code + "|" + sister;
    NodeTool before = state().tools().get(key);
    row();
    needFree(key, before == null ? new NodeTool(place, number, name, "usable", null) : before);
    if (!place.matches("\\d{1,2}")
        || Integer.parseInt(place) < 1
        || Integer.parseInt(place) > PLACES) {
      throw new RefusedException("ALARM 042: there is no place " + place);
    }
    if (before != null && before.place().equals(SPINDLE)) {
      throw new RefusedException("ALARM 046: tool %s is in the spindle".formatted(key));
    }
    neighbours(place, key)
        .forEach((other, tool) -> {
          if (wide(tool)) {
            throw new RefusedException("ALARM 047: %s leaves no room beside it".formatted(other));
          }
        });
    state()
        .tools()
        .replaceAll(
            (other, tool) -> tool.place().equals(place) && !other.equals(key) ? tool.at("") : tool);
    keep(key, new NodeTool(place, number, name, "usable", null));
  }

  /** Takes a tool out of a place, and forgets it. */
  synchronized void unload(String place) {
    row();
    needWritable();
    state()
        .tools()
        .forEach((key, tool) -> {
          if (tool.place().equals(place)) {
            needFree(key, tool);
          }
        });
    state().tools().values().removeIf(tool -> tool.place().equals(place));
    remember(state());
  }

  private static boolean wide(NodeTool tool) {
    return tool.values().entrySet().stream()
        .anyMatch(value ->
            value.getKey().endsWith("." + DIAMETER) && value.getValue() > WIDEST_BESIDE_OTHERS);
  }

  /** Other tools in the two places beside one; the chain is closed. */
  private Map<String, NodeTool> neighbours(String place, String key) {
    Map<String, NodeTool> neighbours = new TreeMap<>();
    if (place.matches("\\d+")) {
      int number = Integer.parseInt(place);
      String before = Integer.toString(number == 1 ? PLACES : number - 1);
      String after = Integer.toString(number == PLACES ? 1 : number + 1);
      state()
          .tools()
          .forEach((other, tool) -> {
            boolean beside = tool.place().equals(before) || tool.place().equals(after);
            if (beside && !other.equals(key)) {
              neighbours.put(other, tool);
            }
          });
    }
    return neighbours;
  }

  private void keep(String key, NodeTool tool) {
    state().tools().put(key, tool);
    remember(state());
  }

  /**
   * What happens at the machine.
   *
   * @param tool code and sister number, {@code CODE|1}
   * @param values by name; null leaves all as it is
   * @param status null leaves it as it is
   * @param place null leaves it where it is
   */
  record PanelEntry(String tool, TreeMap<String, Double> values, String status, String place) {}

  @Override
  synchronized void operated(String json) {
    PanelEntry entry = PanelEndpoint.JSON.readValue(json, PanelEntry.class);
    NodeTool tool = tool(entry.tool());
    TreeMap<String, Double> values = new TreeMap<>(tool.values());
    if (entry.values() != null) {
      values.putAll(entry.values());
    }
    keep(
        entry.tool(),
        new NodeTool(
            entry.place() == null ? tool.place() : entry.place(),
            tool.number(),
            tool.name(),
            entry.status() == null ? tool.status() : entry.status(),
            values));
  }
}
