package arborline.core.exchange;

import arborline.core.cutting.CuttingEntry;
import arborline.core.cutting.CuttingField;
import arborline.core.cutting.CuttingMethod;
import arborline.core.cutting.CuttingOrigin;
import arborline.core.cutting.WorkMaterial;
import arborline.core.cutting.WorkMaterials;
import arborline.core.finding.Finding;
import arborline.core.finding.Severity;
import arborline.core.formula.ValueFormula;
import arborline.core.quantity.Entry;
import arborline.core.quantity.EntryParser;
import arborline.core.quantity.Quantity;
import arborline.core.quantity.Unit;
import arborline.core.quantity.UnitKind;
import arborline.core.tool.Completed;
import arborline.core.tool.Tool;
import arborline.core.tool.Value;
import java.math.BigDecimal;
import java.math.MathContext;
import java.math.RoundingMode;
import java.time.Instant;
import java.time.format.DateTimeParseException;
import java.util.ArrayList;
import java.util.Collections;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.SortedMap;
import java.util.TreeMap;
import java.util.stream.Stream;

/**
 * Lines of cutting data out of cells, and back. Where a file states rotation and feed rate instead
 * of speed and feed, these follow: {@code vc = pi * D * n / 1000}, {@code fz = vf / (n * z)}.
 */
public final class CuttingReading {

  public static final String MATERIAL = "MATERIAL";
  public static final String PURPOSE = "PURPOSE";
  public static final String COOLANT = "COOLANT";
  public static final String ORIGIN = "ORIGIN";
  public static final String AUTHOR = "BY";
  public static final String AT = "AT";
  public static final String MACHINE = "MACHINE";

  private static final BigDecimal MOST = BigDecimal.valueOf(100_000);
  private static final BigDecimal THOUSAND = BigDecimal.valueOf(1000);
  private static final BigDecimal PI = new BigDecimal("3.14159265358979");

  /** What may be said per revolution. */
  private static final Set<CuttingField> PER_REVOLUTION =
      EnumSet.of(CuttingField.FEED, CuttingField.FN, CuttingField.BEFOREFEED);

  private static final int LONGEST = 60;
  private static final int LONGEST_MATERIAL = 40;

  private final RawItem raw;
  private final Tool tool;
  private final List<Finding> findings = new ArrayList<>(0);
  private final Map<CuttingField, BigDecimal> numbers = new EnumMap<>(CuttingField.class);
  private final SortedMap<CuttingField, ValueFormula> formulas = new TreeMap<>();

  private CuttingReading(RawItem raw, Tool tool) {
    this.raw = raw;
    this.tool = Completed.of(tool).tool();
  }

  /**
   * What was understood.
   *
   * @param entry nothing where speed or feed are not known
   */
  public record Interpreted(Optional<CuttingEntry> entry, List<Finding> findings) {}

  /** Reads a line of cutting data of a tool. */
  public static Interpreted interpret(RawItem raw, Tool tool) {
    CuttingReading reading = new CuttingReading(raw, tool);
    Optional<CuttingEntry> entry = reading.entry();
    return new Interpreted(
        reading.findings.isEmpty() ? entry : entry.filter(known -> reading.sound()),
        List.copyOf(reading.findings));
  }

  private boolean sound() {
    return findings.stream().noneMatch(found -> found.severity() == Severity.HOLD);
  }

  private Optional<CuttingEntry> entry() {
    for (CuttingField field : CuttingField.values()) {
      read(field);
    }
    Optional<BigDecimal> speed = speed();
    Optional<BigDecimal> feed = feed(speed);
    if (speed.isEmpty() || feed.isEmpty()) {
      if (speed.isEmpty()) {
        lacking("speed", List.of("VC", "N"));
      } else {
        lacking("feed", List.of("FEED", "FZ", "FN", "VF"));
      }
      return Optional.empty();
    }
    String named = cut(MATERIAL, LONGEST_MATERIAL);
    Optional<WorkMaterial> known = WorkMaterials.find(named);
    String material = known.map(WorkMaterial::id).orElse(named);
    boolean graded =
        known.filter(work -> !work.name().equals(named) && !work.id().equals(named)).isPresent();
    return Optional.of(
        new CuttingEntry(
            material,
            graded ? named : "",
            cut(PURPOSE, LONGEST),
            speed.get().setScale(3, RoundingMode.HALF_UP),
            feed.get().setScale(5, RoundingMode.HALF_UP),
            numbers.getOrDefault(CuttingField.AP, BigDecimal.ZERO),
            numbers.getOrDefault(CuttingField.AE, BigDecimal.ZERO),
            cut(COOLANT, LONGEST),
            origin(material),
            cut(AUTHOR, LONGEST),
            at(),
            cut(MACHINE, LONGEST),
            Optional.ofNullable(numbers.get(CuttingField.BEFOREVC)),
            Optional.ofNullable(numbers.get(CuttingField.BEFOREFEED)),
            formulas));
  }

  /**
   * Asks for a number that is neither given nor follows, unless one of these is refused already.
   */
  private void lacking(String what, List<String> symbols) {
    if (findings.stream().allMatch(found -> Collections.disjoint(found.properties(), symbols))) {
      findings.add(
          Finding.query(
              "cutting-incomplete",
              "cutting data of line %d: no %s is given or follows; this line of them is not taken"
                  .formatted(raw.line(), what),
              symbols.getFirst()));
    }
  }

  private void read(CuttingField field) {
    Cell cell = raw.cells().get(field.name());
    if (cell == null || cell.blank()) {
      return;
    }
    String written = cell.formula().orElse(cell.text());
    Unit unit = cell.unit().orElse(field.unit());
    if (!fits(unit, field)) {
      refuse(field, written, "%s does not measure it".formatted(unit.code()));
      return;
    }
    Optional<Quantity> quantity =
        cell.formula().isPresent() ? formula(field, written, unit) : plain(field, written, unit);
    quantity.ifPresent(read -> {
      if (read.unit().kind() == UnitKind.FEED_PER_REVOLUTION) {
        perRevolution(field, read.in(Unit.MILLIMETRE_PER_REVOLUTION), written);
      } else {
        keep(field, read.in(field.unit()), written);
      }
    });
  }

  /** A feed that is said to be per revolution: of a tool that counts per tooth, edges share it. */
  private void perRevolution(CuttingField field, BigDecimal turn, String written) {
    boolean shared =
        field != CuttingField.FN
            && CuttingMethod.of(tool).filter(CuttingMethod::feedPerTooth).isPresent();
    BigDecimal edges = edges();
    if (shared && edges == null) {
      refuse(field, written, "is per revolution, and how many edges share it is not known");
    } else {
      keep(field, shared ? turn.divide(edges, MathContext.DECIMAL64) : turn, written);
    }
  }

  private void keep(CuttingField field, BigDecimal number, String written) {
    boolean mayBeZero = field == CuttingField.AP || field == CuttingField.AE;
    if (number.signum() < 0 || number.signum() == 0 && !mayBeZero || number.compareTo(MOST) > 0) {
      refuse(field, written, "must be above 0 and at most 100 000");
    } else {
      numbers.put(field, number);
    }
  }

  private static boolean fits(Unit unit, CuttingField field) {
    return unit.kind() == field.unit().kind()
        || unit.kind() == UnitKind.FEED_PER_REVOLUTION && PER_REVOLUTION.contains(field);
  }

  private Optional<Quantity> plain(CuttingField field, String text, Unit unit) {
    return switch (EntryParser.parse(text, unit, other -> fits(other, field))) {
      case Entry.Understood understood -> Optional.of(understood.quantity());
      case Entry.Refused refused -> {
        refuse(field, text, refused.reason());
        yield Optional.empty();
      }
    };
  }

  private Optional<Quantity> formula(CuttingField field, String text, Unit unit) {
    ValueFormula.Read read = ValueFormula.read(text);
    if (read.formula().isEmpty()) {
      refuse(field, text, read.fault());
      return Optional.empty();
    }
    ValueFormula.Result result = read.formula().get().evaluate(this::value, unit);
    if (result.quantity().isEmpty()) {
      refuse(field, text, result.fault());
    } else {
      formulas.put(field, read.formula().get());
    }
    return result.quantity();
  }

  /** A number of the line that was read before this one, else of its tool. */
  private Optional<Quantity> value(String symbol) {
    Optional<Quantity> own =
        CuttingField.named(symbol)
            .filter(numbers::containsKey)
            .map(field -> Quantity.of(numbers.get(field).toPlainString(), field.unit()));
    return own.or(() ->
        tool.values().get(symbol) instanceof Value.Measure measure
            ? Optional.of(measure.quantity())
            : Optional.empty());
  }

  private void refuse(CuttingField field, String text, String reason) {
    findings.add(
        Finding.hold(
            "cutting-number",
            "cutting data of line %d: %s '%s': %s"
                .formatted(raw.line(), field.title(), text.strip(), reason),
            field.name()));
  }

  private Optional<BigDecimal> speed() {
    BigDecimal stated = numbers.get(CuttingField.VC);
    BigDecimal rotation = numbers.get(CuttingField.N);
    BigDecimal diameter = diameter();
    if (stated != null || rotation == null || diameter == null) {
      return Optional.ofNullable(stated);
    }
    return Optional.of(
        PI.multiply(diameter).multiply(rotation).divide(THOUSAND, MathContext.DECIMAL64));
  }

  private BigDecimal diameter() {
    return Stream.of("DC", "DCX", "TD")
        .map(tool::size)
        .filter(size -> size != null && size.signum() > 0)
        .findFirst()
        .orElse(null);
  }

  /** The feed that the tool's way of cutting counts in. */
  private Optional<BigDecimal> feed(Optional<BigDecimal> speed) {
    BigDecimal stated = numbers.get(CuttingField.FEED);
    if (stated != null) {
      return Optional.of(stated);
    }
    Optional<CuttingMethod> method = CuttingMethod.of(tool);
    boolean perTooth = method.filter(CuttingMethod::feedPerTooth).isPresent();
    BigDecimal edges = edges();
    BigDecimal tooth = numbers.get(CuttingField.FZ);
    BigDecimal turn = numbers.get(CuttingField.FN);
    if (perTooth && tooth != null || !perTooth && turn != null) {
      return Optional.of(perTooth ? tooth : turn);
    }
    if (turn != null) {
      return edges == null
          ? Optional.empty()
          : Optional.of(turn.divide(edges, MathContext.DECIMAL64));
    }
    if (tooth != null) {
      return edges == null ? Optional.empty() : Optional.of(tooth.multiply(edges));
    }
    return rate(speed, perTooth, edges).or(() -> pitch(method));
  }

  private BigDecimal edges() {
    return Stream.of("ZEFP", "NOF", "CICT")
        .map(tool::size)
        .filter(size -> size != null && size.signum() > 0)
        .findFirst()
        .orElse(null);
  }

  private Optional<BigDecimal> rate(
      Optional<BigDecimal> speed, boolean perTooth, BigDecimal edges) {
    BigDecimal rate = numbers.get(CuttingField.VF);
    BigDecimal diameter = diameter();
    BigDecimal rotation = numbers.get(CuttingField.N);
    if (rotation == null && speed.isPresent() && diameter != null) {
      rotation =
          speed.get().multiply(THOUSAND).divide(PI.multiply(diameter), MathContext.DECIMAL64);
    }
    if (rate == null || rotation == null || perTooth && edges == null) {
      return Optional.empty();
    }
    BigDecimal turn = rate.divide(rotation, MathContext.DECIMAL64);
    return Optional.of(perTooth ? turn.divide(edges, MathContext.DECIMAL64) : turn);
  }

  private Optional<BigDecimal> pitch(Optional<CuttingMethod> method) {
    return method.filter(CuttingMethod::feedIsPitch).map(way -> tool.size("TP"));
  }

  private CuttingOrigin origin(String material) {
    String text = raw.text(ORIGIN);
    Optional<CuttingOrigin> origin = CuttingOrigin.named(text);
    if (origin.isEmpty() && !text.isEmpty()) {
      findings.add(
          Finding.note(
              "cutting-origin",
              "cutting data of line %d: '%s' is no origin that we know; taken as catalogue"
                  .formatted(raw.line(), text),
              ORIGIN));
    }
    CuttingOrigin stated = origin.orElse(CuttingOrigin.CATALOGUE);
    return material.isEmpty() && stated != CuttingOrigin.PROVEN ? CuttingOrigin.FIXED : stated;
  }

  private Optional<Instant> at() {
    String text = raw.text(AT);
    if (text.isEmpty()) {
      return Optional.empty();
    }
    try {
      return Optional.of(Instant.parse(text));
    } catch (DateTimeParseException other) {
      findings.add(
          Finding.note(
              "cutting-time",
              "cutting data of line %d: '%s' is no time such as 2026-05-02T08:00:00Z; left out"
                  .formatted(raw.line(), text),
              AT));
      return Optional.empty();
    }
  }

  private String cut(String column, int longest) {
    String text = raw.text(column);
    if (text.length() <= longest) {
      return text;
    }
    findings.add(
        Finding.note(
            "cutting-text",
            "cutting data of line %d: '%s' is longer than %d characters and cut"
                .formatted(raw.line(), text, longest),
            column));
    return text.substring(0, longest);
  }

  /** The cells that bring a line back. */
  public static RawItem of(CuttingEntry entry, String owner) {
    SortedMap<String, Cell> cells = new TreeMap<>();
    put(cells, MATERIAL, entry.grade().isEmpty() ? entry.material() : entry.grade());
    put(cells, PURPOSE, entry.purpose());
    number(cells, CuttingField.VC, entry.speed(), entry);
    number(cells, CuttingField.FEED, entry.feed(), entry);
    number(cells, CuttingField.AP, entry.depth(), entry);
    number(cells, CuttingField.AE, entry.width(), entry);
    put(cells, COOLANT, entry.coolant());
    put(cells, ORIGIN, entry.origin().word());
    put(cells, AUTHOR, entry.author());
    entry.at().ifPresent(at -> put(cells, AT, at.toString()));
    put(cells, MACHINE, entry.machine());
    entry.beforeSpeed().ifPresent(speed -> number(cells, CuttingField.BEFOREVC, speed, entry));
    entry.beforeFeed().ifPresent(feed -> number(cells, CuttingField.BEFOREFEED, feed, entry));
    return RawItem.cutting(0, owner, cells);
  }

  private static void put(SortedMap<String, Cell> cells, String symbol, String text) {
    if (!text.isBlank()) {
      cells.put(symbol, Cell.of(text));
    }
  }

  private static void number(
      SortedMap<String, Cell> cells, CuttingField field, BigDecimal number, CuttingEntry entry) {
    if (number.signum() != 0) {
      cells.put(
          field.name(),
          new Cell(
              number.stripTrailingZeros().toPlainString(),
              Optional.of(field.unit()),
              false,
              Optional.ofNullable(entry.formulas().get(field)).map(ValueFormula::text)));
    }
  }
}
