package arborline.shop;

import java.math.BigDecimal;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;

/**
 * What a control with revisions remembers.
 *
 * @param tools by place
 * @param inSpindle place whose tool is in the spindle; empty for none
 */
public record RevisedState(long revision, TreeMap<String, HeldTool> tools, String inSpindle) {

  public RevisedState {
    tools = new TreeMap<>(tools == null ? Map.of() : tools);
    inSpindle = inSpindle == null ? "" : inSpindle;
  }

  /**
   * A tool; what is null is not set.
   *
   * @param edges sizes and wear of each, by name
   */
  public record HeldTool(
      String tool,
      Integer number,
      Integer offset,
      String name,
      String spindle,
      Integer orientation,
      List<Map<String, BigDecimal>> edges) {

    public HeldTool {
      edges = edges == null ? List.of() : List.copyOf(edges);
    }
  }

  RevisedState next() {
    return new RevisedState(revision + 1, tools, inSpindle);
  }
}
