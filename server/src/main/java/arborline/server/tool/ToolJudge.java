package arborline.server.tool;

import arborline.core.cutting.Coating;
import arborline.core.cutting.CutterMaterial;
import arborline.core.exchange.RawItem;
import arborline.core.finding.Finding;
import arborline.core.finding.Severity;
import arborline.core.inspect.Inspected;
import arborline.core.inspect.Inspector;
import arborline.core.naming.UsualName;
import arborline.core.property.Dictionary;
import arborline.core.property.Property;
import arborline.core.quantity.Unit;
import arborline.core.tool.ClassSheet;
import arborline.core.tool.Completed;
import arborline.core.tool.RuleBook;
import arborline.core.tool.Shanks;
import arborline.core.tool.Silhouettes;
import arborline.core.tool.Tool;
import arborline.core.tool.ToolClasses;
import arborline.core.tool.Value;
import arborline.core.tool.outline.Outline;
import arborline.core.tool.outline.SegmentTable;
import arborline.server.support.Refusal;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/** Answers a draft: what was understood, what the rules say, how it looks. */
public final class ToolJudge {

  /** What the codes of findings about values begin with that are not there. */
  private static final String MISSING = "missing.";

  private ToolJudge() {}

  /**
   * A field of the form.
   *
   * @param unit canonical unit; null for words and counts
   * @param defaultText trade default; null where there is none
   * @param segments true where the text is a table of lines and arcs
   * @param choices words that are usual there; others are possible
   */
  record ToolField(
      String symbol,
      String name,
      String sentence,
      @Nullable String unit,
      boolean numeric,
      boolean required,
      boolean designation,
      boolean segments,
      @Nullable String defaultText,
      List<String> choices) {}

  /**
   * A value that nobody wrote down.
   *
   * @param origin where it comes from: {@code follows from LCF}
   */
  record ImpliedValue(ValueView value, String origin) {}

  /**
   * The answer to a draft.
   *
   * @param implied what follows from the values and was not written down, by symbol
   * @param foreign symbols with a value that the class does not ask for
   * @param held true for what is put into a holder
   * @param sketch true where no size is given yet and the outline is that of an example
   * @param outline null where the class is not known
   * @param usualName what it is called where nobody gives a name
   */
  record ToolAnswer(
      Map<String, ValueView> values,
      Map<String, ImpliedValue> implied,
      List<ToolField> fields,
      List<String> foreign,
      String usualName,
      List<Finding> findings,
      boolean held,
      boolean sketch,
      @Nullable Outline outline) {}

  static ToolAnswer answer(Inspected inspected) {
    Tool tool = inspected.tool();
    Map<String, ValueView> values = new LinkedHashMap<>();
    tool.values().forEach((symbol, value) -> values.put(symbol, ValueView.of(value)));
    Optional<Outline> drawn = Silhouettes.of(tool);
    return new ToolAnswer(
        values,
        implied(tool),
        fields(tool),
        foreign(tool),
        UsualName.of(tool),
        inspected.findings(),
        Shanks.held(tool, drawn),
        drawn.isEmpty(),
        drawn.or(() -> example(tool)).orElse(null));
  }

  private static Map<String, ImpliedValue> implied(Tool tool) {
    Completed completed = Completed.of(tool);
    Map<String, ImpliedValue> implied = new LinkedHashMap<>();
    completed
        .origins()
        .forEach((symbol, origin) ->
            implied.put(
                symbol,
                new ImpliedValue(
                    ValueView.of(completed.tool().values().get(symbol)), origin.text())));
    return implied;
  }

  private static Optional<Outline> example(Tool tool) {
    return ToolClasses.named(tool.toolClass()).map(known -> known.outline(ExampleTools.of(known)));
  }

  static Inspected inspect(RawItem raw) {
    return Inspector.judge(raw);
  }

  private static List<String> foreign(Tool tool) {
    return ToolClasses.named(tool.toolClass())
        .map(known -> known.sheet().symbols())
        .map(
            own -> tool.values().keySet().stream().filter(symbol -> !own.contains(symbol)).toList())
        .orElse(List.of());
  }

  /** The fields of the tool's class, then whatever else it has. */
  private static List<ToolField> fields(Tool tool) {
    var found = ToolClasses.named(tool.toolClass()).map(known -> known.sheet());
    Set<String> symbols = new LinkedHashSet<>();
    found.ifPresent(sheet -> symbols.addAll(sheet.symbols()));
    symbols.addAll(tool.values().keySet());
    symbols.addAll(Completed.of(tool).origins().keySet());
    return symbols.stream().map(symbol -> field(symbol, found.orElse(null))).toList();
  }

  private static ToolField field(String symbol, @Nullable ClassSheet sheet) {
    Property property = Dictionary.standard().get(symbol);
    return new ToolField(
        symbol,
        property.name(),
        property.sentence(),
        property.unit().filter(unit -> unit != Unit.ONE).map(Unit::code).orElse(null),
        property.numeric(),
        sheet != null && sheet.required().contains(symbol),
        sheet != null && sheet.designations().contains(symbol),
        symbol.equals(SegmentTable.SYMBOL),
        sheet == null ? null : sheet.defaults().get(symbol),
        choices(symbol));
  }

  private static List<String> choices(String symbol) {
    return switch (symbol) {
      case "HAND" -> List.of("R", "L", "N");
      case "SUBSTRATE" -> CutterMaterial.all().stream().map(CutterMaterial::id).toList();
      case "COATING" -> Coating.all().stream().map(Coating::id).toList();
      default -> List.of();
    };
  }

  /** The same with its formulas worked out anew. */
  static Tool again(Tool tool) {
    boolean follows =
        tool.values().values().stream()
            .anyMatch(
                value -> value instanceof Value.Measure measure && measure.formula().isPresent());
    return follows ? inspect(RawItem.of(tool)).tool() : tool;
  }

  /** What can be understood of a draft. */
  public static Inspected inspect(ToolDraft draft) {
    return inspect(draft.raw());
  }

  /** What a tool lacks that one of its class must have; empty for a whole one. */
  public static List<Finding> missing(Tool tool) {
    return RuleBook.judge(tool).stream().filter(ToolJudge::lacks).toList();
  }

  private static boolean lacks(Finding finding) {
    return finding.severity() == Severity.HOLD && finding.code().startsWith(MISSING);
  }

  /**
   * The tool of a draft, named as is usual where it has no name; refused where it is held.
   *
   * @param incomplete true where it may lack what one of its class must have
   */
  public static Tool sound(ToolDraft draft, boolean incomplete) {
    Inspected inspected = inspect(draft);
    refuseHolds(inspected.findings(), incomplete);
    Tool tool = inspected.tool();
    return tool.name().isBlank() ? tool.named(tool.code(), UsualName.of(tool)) : tool;
  }

  static void refuseHolds(List<Finding> findings) {
    refuseHolds(findings, false);
  }

  /**
   * Refuses what stands against a tool.
   *
   * @param incomplete true where it may lack what one of its class must have
   */
  static void refuseHolds(List<Finding> findings, boolean incomplete) {
    List<Finding> holds =
        findings.stream()
            .filter(finding -> finding.severity() == Severity.HOLD)
            .filter(finding -> !incomplete || !lacks(finding))
            .toList();
    if (!holds.isEmpty()) {
      throw Refusal.conflict("cannot be saved: " + holds.getFirst().message(), holds);
    }
  }
}
