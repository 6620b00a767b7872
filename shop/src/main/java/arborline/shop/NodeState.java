package arborline.shop;

import java.util.Map;
import java.util.TreeMap;

/**
 * What a control with tools as nodes remembers.
 *
 * @param tools by code and sister number, {@code CODE|1}
 */
public record NodeState(TreeMap<String, NodeTool> tools) {

  public NodeState {
    tools = new TreeMap<>(tools == null ? Map.of() : tools);
  }

  /**
   * A tool.
   *
   * @param place where it stands; empty for nowhere, SPINDLE for the spindle
   * @param number by which programs call it and its sisters
   * @param status {@code usable}, {@code worn} or {@code locked}
   * @param values life, and sizes and wear of its edges, by name; what is not there is not set
   */
  public record NodeTool(
      String place, int number, String name, String status, TreeMap<String, Double> values) {

    public NodeTool {
      values = new TreeMap<>(values == null ? Map.of() : values);
    }

    boolean locked() {
      return "locked".equals(status);
    }

    NodeTool at(String where) {
      return new NodeTool(where, number, name, status, values);
    }
  }
}
