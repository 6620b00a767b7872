package arborline.core.merge;

import arborline.core.tool.Tool;
import arborline.core.tool.Value;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.TreeSet;

/** Says a change in words: {@code DC 10 mm to 12 mm}. */
public final class ToolDifference {

  private ToolDifference() {}

  public static List<String> of(Tool before, Tool after) {
    List<String> said = new ArrayList<>();
    if (!before.name().equals(after.name())) {
      said.add("name '%s' to '%s'".formatted(before.name(), after.name()));
    }
    if (!before.toolClass().equals(after.toolClass())) {
      said.add("class %s to %s".formatted(before.toolClass(), after.toolClass()));
    }
    TreeSet<String> symbols = new TreeSet<>(before.values().keySet());
    symbols.addAll(after.values().keySet());
    for (String symbol : symbols) {
      Value was = before.values().get(symbol);
      Value is = after.values().get(symbol);
      if (!Objects.equals(was, is)) {
        said.add(change(symbol, was, is));
      }
    }
    return said;
  }

  private static String change(String symbol, Value was, Value is) {
    boolean confirmed = was != null && is != null && was.toString().equals(is.toString());
    return confirmed
        ? "%s %s confirmed".formatted(symbol, is)
        : "%s %s to %s"
            .formatted(symbol, Objects.toString(was, "none"), Objects.toString(is, "none"));
  }
}
