package arborline.core.solid;

import arborline.core.exchange.Cell;
import arborline.core.exchange.ItemKind;
import arborline.core.exchange.PartReading;
import arborline.core.exchange.PathList;
import arborline.core.exchange.RawItem;
import arborline.core.finding.Finding;
import arborline.core.property.Dictionary;
import arborline.core.property.Property;
import arborline.core.stack.Bodies;
import arborline.core.tool.ToolClasses;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.SortedMap;
import java.util.TreeMap;

/** A solid without data as an item: its likeliest kind, class and sizes, each to be looked at. */
public final class SolidItem {

  private static final BigDecimal SURE = new BigDecimal("0.7");
  private static final Map<String, ItemKind> KINDS =
      Map.of(
          "holder", ItemKind.HOLDER,
          "extension", ItemKind.EXTENSION,
          "collet", ItemKind.COLLET,
          "insert", ItemKind.INSERT);

  private SolidItem() {}

  /**
   * The item.
   *
   * @param path of the file, which comes with it as its model; its name without ending is the code
   * @param named what somebody said that a solid of this shape is
   */
  public static RawItem of(String path, SolidReading reading, Optional<NamedShape> named) {
    SortedMap<String, Cell> cells = new TreeMap<>();
    List<Finding> findings = new ArrayList<>();
    cells.put(RawItem.CODE, Cell.of(stem(path)));
    cells.put(RawItem.ATTACHMENT, Cell.of(PathList.text(List.of(path))));
    Optional<SolidProposal> proposal = proposal(reading, named);
    ItemKind kind =
        named.map(NamedShape::kind).or(() -> proposal.map(SolidItem::kind)).orElse(ItemKind.CUTTER);
    proposal.ifPresent(likely -> {
      likely
          .classId()
          .filter(id -> tool(kind))
          .ifPresent(id -> cells.put(RawItem.CLASS, Cell.of(id)));
      likely.properties().forEach((symbol, size) -> cells.put(symbol, cell(symbol, size)));
      likely.texts().forEach((symbol, text) -> cells.put(symbol, Cell.of(text)));
    });
    named
        .filter(said -> tool(said.kind()) && !said.classId().isEmpty())
        .ifPresent(said -> cells.put(RawItem.CLASS, Cell.of(said.classId())));
    if (!tool(kind)) {
      reading
          .turned()
          .ifPresent(
              shape -> cells.put(PartReading.BODIES, Cell.of(Bodies.text(PartBodies.of(shape)))));
    }
    findings.add(named.map(SolidItem::saidBefore).orElseGet(() -> said(proposal)));
    reading.findings().forEach(finding -> findings.add(said(finding)));
    return new RawItem(1, kind, cells, findings);
  }

  private static String stem(String path) {
    String name = PathList.name(path);
    int dot = name.lastIndexOf('.');
    return dot > 0 ? name.substring(0, dot) : name;
  }

  private static boolean tool(ItemKind kind) {
    return kind == ItemKind.CUTTER || kind == ItemKind.INSERT;
  }

  /** The likeliest; where somebody named the shape, the one of that class before others. */
  private static Optional<SolidProposal> proposal(
      SolidReading reading, Optional<NamedShape> named) {
    List<SolidProposal> likely =
        reading.proposals().stream().filter(one -> !one.kind().equals("other")).toList();
    return likely.stream()
        .filter(
            one -> named.isPresent() && one.classId().equals(Optional.of(named.get().classId())))
        .findFirst()
        .or(() -> likely.stream().findFirst());
  }

  private static Finding saidBefore(NamedShape named) {
    return Finding.note(
        "solid-named",
        "a part of this shape was said to be a %s: look whether the sizes are right"
            .formatted(
                ToolClasses.named(named.classId())
                    .map(toolClass -> toolClass.sheet().title())
                    .orElse(named.kind().word())),
        RawItem.CLASS);
  }

  private static ItemKind kind(SolidProposal proposal) {
    return KINDS.getOrDefault(proposal.kind(), ItemKind.CUTTER);
  }

  private static Cell cell(String symbol, BigDecimal size) {
    return new Cell(
        size.toPlainString(), Dictionary.standard().find(symbol).flatMap(Property::unit), false);
  }

  private static Finding said(Optional<SolidProposal> proposal) {
    if (proposal.isEmpty()) {
      return Finding.query(
          "solid-unknown", "its solid does not tell what it is: choose its class", RawItem.CLASS);
    }
    SolidProposal likely = proposal.get();
    String what =
        "read from its solid as %s, %s %% sure: look whether class and sizes are right"
            .formatted(
                likely
                    .classId()
                    .flatMap(ToolClasses::named)
                    .map(toolClass -> toolClass.sheet().title())
                    .orElse(likely.kind()),
                likely.confidence().movePointRight(2).toBigInteger());
    return likely.confidence().compareTo(SURE) < 0
        ? Finding.query("solid-proposed", what, RawItem.CLASS)
        : Finding.note("solid-proposed", what, RawItem.CLASS);
  }

  private static final List<String> ASKED =
      List.of("which-axis", "open-shell", "unit-not-written", "face-not-read", "no-size");

  private static Finding said(SolidFinding finding) {
    String text =
        finding.line() == 0
            ? finding.message()
            : "line %d: %s".formatted(finding.line(), finding.message());
    return ASKED.contains(finding.code())
        ? Finding.query("solid-" + finding.code(), text, RawItem.CODE)
        : Finding.note("solid-" + finding.code(), text, RawItem.CODE);
  }
}
