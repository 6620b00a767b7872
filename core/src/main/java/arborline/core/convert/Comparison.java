package arborline.core.convert;

import arborline.core.exchange.Bundle;
import arborline.core.exchange.BundlePart;
import arborline.core.exchange.RawItem;
import arborline.core.exchange.WrittenBundle;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;

/** Compares a bundle that was to be written with what was read back, value by value. */
final class Comparison {

  private static final Set<String> UNNAMED = Set.of("KIND");

  private Comparison() {}

  /** Differences in words: {@code M-10 LU: 24 mm was to be written, none was read}. */
  static List<String> of(Bundle wanted, Bundle read, WrittenBundle form) {
    List<String> differences = new ArrayList<>();
    List<RawItem> there = form.items(wanted);
    List<RawItem> back = form.items(read);
    String code = wanted.tool().code();
    if (there.size() != back.size()) {
      differences.add(
          "%s: %d items with its cutting data and stacks were to be written, %d were read"
              .formatted(code, there.size(), back.size()));
      return differences;
    }
    for (int i = 0; i < there.size(); i++) {
      cells(code, there.get(i), back.get(i), differences);
    }
    return differences;
  }

  /** The same of a part of stacks. */
  static List<String> of(BundlePart wanted, BundlePart read, WrittenBundle form) {
    List<String> differences = new ArrayList<>();
    cells(wanted.code(), form.part(wanted.item()), form.part(read.item()), differences);
    return differences;
  }

  private static void cells(String code, RawItem wanted, RawItem read, List<String> differences) {
    Map<String, String> there = WrittenBundle.texts(wanted);
    Map<String, String> back = WrittenBundle.texts(read);
    Set<String> columns = new TreeSet<>(there.keySet());
    columns.addAll(back.keySet());
    columns.removeAll(UNNAMED);
    for (String column : columns) {
      String mine = there.getOrDefault(column, "none");
      String theirs = back.getOrDefault(column, "none");
      if (!mine.equals(theirs)) {
        differences.add(
            "%s %s: %s was to be written, %s was read".formatted(code, column, mine, theirs));
      }
    }
    if (!wanted.parts().equals(read.parts())) {
      differences.add(
          "%s: a stack of %s was to be written, one of %s was read"
              .formatted(code, wanted.parts(), read.parts()));
    }
  }
}
