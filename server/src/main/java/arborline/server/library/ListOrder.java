package arborline.server.library;

import arborline.server.support.Refusal;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;

/** By what a list of tools can be sorted and grouped. */
enum ListOrder {
  CODE(false, ListKey.CODE),
  NAME(false, ListKey.NAME),
  NUMBER(false, ListKey.NUMBER),
  DC(false, ListKey.DIAMETER, ListKey.CLASS),
  CLASS(true, ListKey.CLASS, ListKey.CODE),
  SECTION(true, ListKey.SECTION, ListKey.CODE),
  LIBRARY(true, ListKey.LIBRARY, ListKey.CODE),
  DIAMETER(true, ListKey.DIAMETER, ListKey.CLASS),
  HOLDER(true, ListKey.HOLDER, ListKey.CODE),
  MATERIAL(true, ListKey.MATERIAL, ListKey.CODE),
  STANDING(true, ListKey.STANDING, ListKey.CODE);

  private final boolean groups;
  private final List<ListKey> keys;

  ListOrder(boolean groups, ListKey... keys) {
    this.groups = groups;
    this.keys = List.of(keys);
  }

  /** What a list is sorted by, one after the other. */
  List<ListKey> keys() {
    return keys;
  }

  /** What a list is grouped by. */
  ListKey group() {
    return keys.getFirst();
  }

  private String word() {
    return name().toLowerCase(Locale.ROOT);
  }

  /** What a list is sorted by. */
  static ListOrder sorting(String word) {
    return Arrays.stream(values())
        .filter(order -> order.word().equals(word))
        .findFirst()
        .orElseThrow(() ->
            Refusal.badRequest(
                "sort is one of "
                    + Arrays.stream(values())
                        .map(ListOrder::word)
                        .collect(Collectors.joining(", "))));
  }

  /** What a list is grouped by. */
  static ListOrder grouping(String word) {
    return Arrays.stream(values())
        .filter(order -> order.groups && order.word().equals(word))
        .findFirst()
        .orElseThrow(() ->
            Refusal.badRequest(
                "group is one of "
                    + Arrays.stream(values())
                        .filter(order -> order.groups)
                        .map(ListOrder::word)
                        .collect(Collectors.joining(", "))));
  }
}
