package arborline.core.tool.kind;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import arborline.core.finding.Finding;
import arborline.core.tool.Completed;
import arborline.core.tool.RuleBook;
import arborline.core.tool.Sample;
import arborline.core.tool.Value;
import arborline.core.tool.outline.Outline;
import arborline.core.tool.outline.Part;
import arborline.core.tool.outline.Point;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;

/** A sound tool of one class, and what becomes of it when values change. */
final class Trial {

  private final Map<String, String> values;

  private Trial(Map<String, String> values) {
    this.values = values;
  }

  /** Begins with a tool that nobody complains about. */
  static Trial of(String sound) {
    Trial trial = new Trial(Map.of()).with(sound);
    assertEquals(List.of(), Sample.findings(trial.text()));
    return trial;
  }

  private String text() {
    return values.entrySet().stream()
        .map(changed -> changed.getKey() + "=" + changed.getValue())
        .collect(Collectors.joining(" "));
  }

  /** The same tool with other values; a value of nothing takes it away. */
  Trial with(String changes) {
    Map<String, String> changed = new LinkedHashMap<>(values);
    for (String pair : changes.split(" ")) {
      String[] parts = pair.split("=", 2);
      if (parts[1].isEmpty()) {
        changed.remove(parts[0]);
      } else {
        changed.put(parts[0], parts[1]);
      }
    }
    return new Trial(changed);
  }

  /** Each of these must be given, or follow from what is given. */
  void needs(String... symbols) {
    for (String symbol : symbols) {
      List<String> findings = Sample.findings(with(symbol + "=").text());
      assertTrue(
          findings.contains("missing." + symbol) || findings.contains("implied." + symbol), symbol);
    }
  }

  /** Without these values, this one follows: a size in the property's own unit, or a word. */
  void implies(String without, String symbol, String expected) {
    Value value = Completed.of(Sample.tool(with(without).text())).tool().values().get(symbol);
    assertEquals(expected, value == null ? "nothing" : value.text());
  }

  /** Complains about a change with this code, and says so with these words. */
  void refuses(String changes, String code, String words) {
    List<Finding> findings = RuleBook.judge(Sample.tool(with(changes).text()));
    assertEquals(List.of(code), findings.stream().map(Finding::code).toList());
    assertTrue(findings.getFirst().message().contains(words), findings.getFirst().message());
  }

  void allows(String changes) {
    assertEquals(List.of(), Sample.findings(with(changes).text()));
  }

  Outline outline() {
    return Sample.outline(text());
  }

  /** Diameter at a distance behind the tip, mm. */
  double wide(double behindTip) {
    Outline outline = outline();
    double z = outline.length() - behindTip;
    double widest = 0;
    for (Part part : outline.parts()) {
      for (int i = 1; i < part.profile().size(); i++) {
        Point from = part.profile().get(i - 1);
        Point to = part.profile().get(i);
        if (from.z() <= z + 1e-9 && z - 1e-9 <= to.z() && to.z() > from.z()) {
          double share = (z - from.z()) / (to.z() - from.z());
          widest = Math.max(widest, 2 * (from.r() + share * (to.r() - from.r())));
        }
      }
    }
    return widest;
  }

  /** Area of the flat cutting part, mm2. */
  double cuttingArea() {
    return outline().parts().stream()
        .filter(part -> part.kind() == Part.Kind.CUTTING && part.flat())
        .mapToDouble(part -> area(part.profile()))
        .sum();
  }

  private static double area(List<Point> polygon) {
    double twice = 0;
    for (int i = 0; i < polygon.size(); i++) {
      Point here = polygon.get(i);
      Point next = polygon.get((i + 1) % polygon.size());
      twice += here.z() * next.r() - next.z() * here.r();
    }
    return Math.abs(twice) / 2;
  }
}
