package arborline.core.part21;

import arborline.core.quantity.Unit;
import java.math.BigDecimal;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * The units of a file, by their factors and not by their names. Source: ISO 10303-41, measure
 * schema.
 */
public final class MeasureUnits {

  private static final int DEEPEST = 8;
  private static final BigDecimal DEGREES = new BigDecimal("57.295779513082320877");
  private static final Map<String, MeasureUnit> SI =
      Map.of(
          "METRE", new MeasureUnit(Unit.MILLIMETRE, BigDecimal.valueOf(1000)),
          "GRAM", new MeasureUnit(Unit.KILOGRAM, new BigDecimal("0.001")),
          "RADIAN", new MeasureUnit(Unit.DEGREE, DEGREES),
          "PASCAL", new MeasureUnit(Unit.BAR, new BigDecimal("0.00001")),
          "WATT", new MeasureUnit(Unit.KILOWATT, new BigDecimal("0.001")));
  private static final Map<String, Integer> PREFIXES =
      Map.ofEntries(
          Map.entry("GIGA", 9),
          Map.entry("MEGA", 6),
          Map.entry("KILO", 3),
          Map.entry("HECTO", 2),
          Map.entry("DECA", 1),
          Map.entry("DECI", -1),
          Map.entry("CENTI", -2),
          Map.entry("MILLI", -3),
          Map.entry("MICRO", -6),
          Map.entry("NANO", -9));

  private final Part21Document document;
  private final Map<Long, Optional<MeasureUnit>> known = new HashMap<>();

  public MeasureUnits(Part21Document document) {
    this.document = document;
  }

  /** True for the statement of a unit, known or not. */
  static boolean is(Statement statement) {
    return statement.entities().stream().anyMatch(entity -> entity.name().contains("UNIT"))
        && statement.entities().stream()
            .noneMatch(entity ->
                entity.name().contains("MEASURE")
                    || entity.name().contains("CONTEXT_") && !dependent(entity)
                    || entity.name().endsWith("CONTEXT")
                    || entity.name().contains("PROPERTY"));
  }

  private static boolean dependent(Entity entity) {
    return entity.name().startsWith("CONTEXT_DEPENDENT");
  }

  /** The unit of a statement; nothing where it is none that we know. */
  public Optional<MeasureUnit> of(long id) {
    return of(id, 0);
  }

  private Optional<MeasureUnit> of(long id, int depth) {
    if (depth > DEEPEST) {
      return Optional.empty();
    }
    Optional<MeasureUnit> before = known.get(id);
    if (before == null) {
      before = document.instance(id).filter(MeasureUnits::is).flatMap(unit -> read(unit, depth));
      known.put(id, before);
    }
    return before;
  }

  private Optional<MeasureUnit> read(Statement statement, int depth) {
    for (Entity entity : statement.entities()) {
      Optional<MeasureUnit> unit =
          si(entity).or(() -> converted(entity, depth)).or(() -> named(entity));
      if (unit.isPresent()) {
        return unit.map(MeasureUnit::named);
      }
    }
    boolean ratio =
        statement.entities().stream().anyMatch(entity -> entity.name().contains("RATIO"));
    return ratio ? Optional.of(MeasureUnit.of(Unit.ONE)) : Optional.empty();
  }

  private static Optional<MeasureUnit> si(Entity entity) {
    List<String> words =
        entity.arguments().stream()
            .flatMap(argument ->
                argument instanceof Argument.Word word
                    ? java.util.stream.Stream.of(word.value().toUpperCase(java.util.Locale.ROOT))
                    : java.util.stream.Stream.empty())
            .toList();
    Optional<MeasureUnit> base =
        words.stream().map(SI::get).filter(java.util.Objects::nonNull).findFirst();
    int power =
        words.stream().map(PREFIXES::get).filter(java.util.Objects::nonNull).findFirst().orElse(0);
    return base.map(unit -> unit.times(BigDecimal.ONE.scaleByPowerOfTen(power)));
  }

  /** A unit that is so many of another one: by a reference to a number with its unit. */
  private Optional<MeasureUnit> converted(Entity entity, int depth) {
    return Argument.references(entity.arguments())
        .flatMap(id -> document.instance(id).stream())
        .filter(statement -> !is(statement))
        .flatMap(measure -> multiple(measure, depth).stream())
        .findFirst();
  }

  private Optional<MeasureUnit> multiple(Statement measure, int depth) {
    Optional<BigDecimal> number =
        measure.entities().stream()
            .flatMap(entity -> Literals.numbers(entity.arguments()).stream())
            .findFirst();
    Optional<MeasureUnit> unit =
        measure.references().flatMap(id -> of(id, depth + 1).stream()).findFirst();
    return number.flatMap(count -> unit.map(one -> one.times(count)));
  }

  private static Optional<MeasureUnit> named(Entity entity) {
    return entity.name().contains("UNIT")
        ? entity.arguments().stream()
            .flatMap(argument ->
                argument instanceof Argument.Text text
                    ? named(text.value()).stream()
                    : java.util.stream.Stream.empty())
            .findFirst()
        : Optional.empty();
  }

  /** A unit by what people write. */
  static Optional<MeasureUnit> named(String text) {
    return switch (text.strip().toLowerCase(java.util.Locale.ROOT)) {
      case "rad", "radian" -> Optional.of(new MeasureUnit(Unit.DEGREE, DEGREES));
      case "degree" -> Optional.of(MeasureUnit.of(Unit.DEGREE));
      default -> Unit.named(text).map(MeasureUnit::of);
    };
  }
}
