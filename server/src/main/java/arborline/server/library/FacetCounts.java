package arborline.server.library;

import arborline.core.tool.Process;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.Collection;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import org.springframework.jdbc.core.JdbcTemplate;

/**
 * The tools of a list counted by class and diameter, without the filters of either: what each
 * filter could be changed to is summed up from that.
 */
record FacetCounts(ToolQuery.Filter filter, List<Count> counts) {

  /** How many tools have a class and a diameter in mm, 0 for none. */
  record Count(String classId, BigDecimal diameter, long tools) {}

  static FacetCounts of(ToolQuery.Filter filter, JdbcTemplate jdbc) {
    return new FacetCounts(
        filter,
        new ToolQuery(filter, ToolQuery.Except.CLASS_AND_DIAMETER)
            .groups(
                jdbc,
                "e.dc, e.class_id",
                (row, index) -> new Count(row.getString(2), row.getBigDecimal(1), row.getLong(3))));
  }

  ToolLists.Facets facets() {
    Map<String, Long> classes = new TreeMap<>();
    Map<Process, Long> listed = new EnumMap<>(Process.class);
    long[] bars = new long[DiameterBars.count()];
    long total = 0;
    boolean any = false;
    for (Count count : counts) {
      boolean wide = ofDiameter(count.diameter());
      boolean sought = ofClass(count.classId());
      if (wide) {
        classes.merge(count.classId(), count.tools(), Long::sum);
      }
      if (sought && count.diameter().signum() != 0) {
        bars[DiameterBars.of(count.diameter().doubleValue())] += count.tools();
        any = true;
      }
      if (wide && sought) {
        listed.merge(EntryStore.process(count.classId()), count.tools(), Long::sum);
        total += count.tools();
      }
    }
    return new ToolLists.Facets(
        total,
        classes.entrySet().stream().map(one -> classCount(one.getKey(), one.getValue())).toList(),
        any ? diameters(bars) : List.of(),
        ToolColumns.following(listed));
  }

  private boolean ofClass(String classId) {
    Collection<String> wanted = filter.classes();
    return wanted.isEmpty() || wanted.contains(classId);
  }

  private boolean ofDiameter(BigDecimal diameter) {
    return (filter.diaMin() == null || diameter.compareTo(filter.diaMin()) >= 0)
        && (filter.diaMax() == null || diameter.compareTo(filter.diaMax()) <= 0);
  }

  private static ToolLists.ClassCount classCount(String classId, long tools) {
    return new ToolLists.ClassCount(
        classId, ToolLists.title(classId), tools, ToolLists.example(classId));
  }

  private static List<ToolLists.DiameterCount> diameters(long[] bars) {
    List<ToolLists.DiameterCount> counts = new ArrayList<>();
    for (int bar = 0; bar < bars.length; bar++) {
      counts.add(
          new ToolLists.DiameterCount(
              DiameterBars.from(bar), DiameterBars.from(bar + 1), bars[bar]));
    }
    return counts;
  }
}
