package arborline.core.inspect;

import arborline.core.exchange.Cell;
import arborline.core.exchange.PartReading;
import arborline.core.exchange.RawItem;
import arborline.core.finding.Finding;
import arborline.core.finding.Repair;
import arborline.core.stack.Component;
import arborline.core.tool.Tool;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.SortedMap;

/** Findings about a code that more than one line or tool claims. */
public final class Clashes {

  private Clashes() {}

  /**
   * Another line of the same delivery came first with this code.
   *
   * @param first where that is, as {@code line 4} or {@code line 4 of drills.csv}
   */
  public static Finding insideDelivery(String code, String first, String freeCode) {
    return Finding.hold(
            "code-twice", "code %s stands on %s already".formatted(code, first), RawItem.CODE)
        .withRepair(nextFree(freeCode));
  }

  /** The shop has another tool under this code. */
  public static Finding withShop(Tool arriving, Tool present, String freeCode) {
    return Finding.hold(
            "code-taken",
            "the shop has another tool under code %s: %s"
                .formatted(arriving.code(), String.join("; ", differences(arriving, present))),
            RawItem.CODE)
        .withRepair(nextFree(freeCode));
  }

  /** The shop has another part under this code. */
  public static Finding withShop(Component arriving, Component present, String freeCode) {
    return Finding.hold(
            "code-taken",
            "the shop has another %s under code %s: %s"
                .formatted(
                    present.kind().name().toLowerCase(Locale.ROOT),
                    arriving.code(),
                    String.join("; ", differences(arriving, present))),
            RawItem.CODE)
        .withRepair(nextFree(freeCode));
  }

  /** The shop has just this part. */
  public static Finding partAlreadyHere(String code) {
    return Finding.note(
        "already-here", "the shop has part %s with the same values".formatted(code), RawItem.CODE);
  }

  /** What differs between two parts, in words. */
  public static List<String> differences(Component arriving, Component present) {
    SortedMap<String, Cell> here = PartReading.of(arriving).cells();
    SortedMap<String, Cell> there = PartReading.of(present).cells();
    List<String> said = new ArrayList<>();
    if (arriving.kind() != present.kind()) {
      said.add(
          "%s here, %s in the shop"
              .formatted(
                  arriving.kind().name().toLowerCase(Locale.ROOT),
                  present.kind().name().toLowerCase(Locale.ROOT)));
    }
    var symbols = new java.util.TreeSet<>(here.keySet());
    symbols.addAll(there.keySet());
    symbols.remove(RawItem.CODE);
    for (String symbol : symbols) {
      Cell mine = here.get(symbol);
      Cell theirs = there.get(symbol);
      if (mine == null || !mine.equals(theirs)) {
        said.add("%s %s here, %s in the shop".formatted(symbol, shown(mine), shown(theirs)));
      }
    }
    return said;
  }

  private static String shown(Cell cell) {
    return cell == null
        ? "none"
        : cell.unit().map(unit -> cell.text() + " " + unit.code()).orElse(cell.text());
  }

  /** No tool carries the code, but it is not free either. */
  public static Finding held(String why, String freeCode) {
    return Finding.hold("code-held", why, RawItem.CODE).withRepair(nextFree(freeCode));
  }

  /** The shop has just this tool. */
  public static Finding alreadyHere(String code) {
    return Finding.note(
        "already-here", "the shop has tool %s with the same values".formatted(code), RawItem.CODE);
  }

  /** Of a tool that the shop keeps as it is cutting data are taken. */
  public static Finding bringsCutting(String code) {
    return Finding.note(
        "brings-cutting",
        "cutting data of %s that the shop does not have yet are taken".formatted(code),
        RawItem.CODE);
  }

  /** The shop has this item, and not what comes with it. */
  public static Finding comesWithMore(String code) {
    return Finding.note(
        "brings-more",
        "the shop has %s with the same values; files, stacks or cutting data that come with it are new"
            .formatted(code),
        RawItem.CODE);
  }

  /**
   * Another code has a tool with just these dimensions.
   *
   * @param other where that is, as {@code tool E-10 of the shop}
   */
  public static Finding sameDimensions(String other) {
    return Finding.note(
        "same-dimensions",
        "%s has the same class and the same values: it may be the same tool".formatted(other),
        RawItem.CODE);
  }

  /** A line names files that nobody sent. */
  public static Finding attachmentMissing(List<String> paths) {
    return Finding.note(
        "attachment-missing",
        "not in this delivery: %s; bring it in one ZIP with the table"
            .formatted(String.join(", ", paths)),
        RawItem.ATTACHMENT);
  }

  /** A holder names an insert that is nowhere. */
  public static Finding insertMissing(String designation) {
    return Finding.note(
        "insert-missing",
        "insert %s is neither in this delivery nor among the tools of the shop"
            .formatted(designation),
        "MIID");
  }

  /** Somebody chose that the shop's tool stays as it is. */
  public static Finding kept(String code) {
    return Finding.note(
        "kept-as-it-is", "tool %s of the shop stays as it is".formatted(code), RawItem.CODE);
  }

  /** Somebody chose that the shop's tool changes. */
  public static Finding changes(String code, List<String> differences) {
    return Finding.note(
        "changes-shop",
        "changes tool %s of the shop: %s".formatted(code, String.join("; ", differences)),
        RawItem.CODE);
  }

  private static Repair nextFree(String freeCode) {
    return Repair.of(
        "code-next-free", "take it under the next free code", Map.of(RawItem.CODE, freeCode));
  }

  /** What differs between two tools, in words: {@code DC 10 mm here, 12 mm in the shop}. */
  public static List<String> differences(Tool arriving, Tool present) {
    List<String> said = new ArrayList<>();
    if (!arriving.toolClass().equals(present.toolClass())) {
      said.add(
          "class %s here, %s in the shop".formatted(arriving.toolClass(), present.toolClass()));
    }
    if (!arriving.name().equals(present.name())) {
      said.add("name '%s' here, '%s' in the shop".formatted(arriving.name(), present.name()));
    }
    if (!arriving.notes().equals(present.notes())) {
      said.add("other notes here than in the shop");
    }
    var symbols = new java.util.TreeSet<>(arriving.values().keySet());
    symbols.addAll(present.values().keySet());
    for (String symbol : symbols) {
      var here = arriving.values().get(symbol);
      var there = present.values().get(symbol);
      boolean same = here != null && there != null && here.sameAs(there);
      if (!same) {
        said.add(
            "%s %s here, %s in the shop"
                .formatted(symbol, here == null ? "none" : here, there == null ? "none" : there));
      }
    }
    return said;
  }
}
