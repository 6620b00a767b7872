package arborline.core.part21;

import arborline.core.property.Dictionary;
import arborline.core.property.Property;
import arborline.core.quantity.Unit;
import arborline.core.quantity.UnitKind;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** Reads the properties of the items of a file out of its statements. */
final class PropertyReadings {

  private static final int NOMINAL_AND_LIMITS = 3;
  private static final List<String> LIMITS =
      List.of("LIMIT", "RANGE", "INTERVAL", "BOUND", "TOLERANCE", "LEVEL");

  private final PropertyGraph graph;
  private final PropertyDictionary dictionary;
  private final MeasureUnits units;
  private final Map<Integer, List<PropertyReading>> ofItems = new HashMap<>();
  private final Map<Integer, List<MeasureUnit>> contexts = new HashMap<>();
  private final Map<Integer, List<String>> missing = new HashMap<>();

  PropertyReadings(PropertyGraph graph, PropertyDictionary dictionary, MeasureUnits units) {
    this.graph = graph;
    this.dictionary = dictionary;
    this.units = units;
    Set<Integer> valued = new HashSet<>();
    for (int i = 0; i < graph.size(); i++) {
      if (graph.role(i) == StatementRole.VALUE) {
        value(i).ifPresent(valued::add);
      }
    }
    for (int i = 0; i < graph.size(); i++) {
      if (graph.role(i) == StatementRole.PROPERTY && !valued.contains(i)) {
        own(i);
      } else if (graph.item(i).isPresent()) {
        lists(i);
      }
    }
  }

  /** The properties of an item, in the order of the file. */
  List<PropertyReading> of(int item) {
    return ofItems.getOrDefault(item, List.of());
  }

  private void add(int item, PropertyReading reading) {
    ofItems.computeIfAbsent(item, place -> new ArrayList<>()).add(reading);
  }

  /** A value that stands apart from the name of its property. */
  private Optional<Integer> value(int place) {
    Optional<Integer> property = graph.property(place);
    Optional<Integer> item = graph.item(place).or(() -> property.flatMap(graph::item));
    if (property.isPresent() && item.isPresent()) {
      String name = graph.statement(property.get()).firstText();
      read(place, name, graph.statement(place).texts()).forEach(found -> add(item.get(), found));
    }
    return property;
  }

  /** A property whose value stands in the same statement. */
  private void own(int place) {
    Statement statement = graph.statement(place);
    List<String> texts = statement.texts();
    List<String> others = reference(statement) ? List.of() : texts.subList(1, texts.size());
    graph
        .item(place)
        .ifPresent(item -> {
          List<PropertyReading> found = read(place, texts.getFirst(), others);
          found.forEach(reading -> add(item, reading));
          if (found.isEmpty()) {
            missing.computeIfAbsent(item, key -> new ArrayList<>()).add(texts.getFirst());
          }
        });
  }

  /** True for the entry of a dictionary: an id, its version, the dictionary, and no value. */
  private static boolean reference(Statement statement) {
    return statement.numbers().isEmpty()
        && (statement.names().contains("REFERENCE") || statement.texts().size() > 2);
  }

  /** Names of properties of an item whose value is nowhere. */
  List<String> missing(int item) {
    return missing.getOrDefault(item, List.of());
  }

  private List<PropertyReading> read(int place, String name, List<String> texts) {
    Statement statement = graph.statement(place);
    List<BigDecimal> numbers = statement.numbers();
    if (numbers.isEmpty()) {
      Optional<String> word = statement.word();
      return word.or(() -> texts.stream().findFirst())
          .map(text -> List.of(PropertyReading.text(statement.line(), name, text)))
          .orElse(List.of());
    }
    Optional<MeasureUnit> unit = unit(place, name);
    if (numbers.size() == 2 && !limits(statement)) {
      return List.of(
          PropertyReading.text(
              statement.line(), name, "%s or %s".formatted(numbers.get(0), numbers.get(1))));
    }
    if (numbers.size() == 2) {
      return List.of(
          PropertyReading.number(
              statement.line(), name, numbers.get(0).min(numbers.get(1)), unit, "MIN"),
          PropertyReading.number(
              statement.line(), name, numbers.get(0).max(numbers.get(1)), unit, "MAX"));
    }
    BigDecimal number =
        numbers.size() == NOMINAL_AND_LIMITS ? nominal(numbers) : numbers.getFirst();
    return List.of(
        PropertyReading.number(statement.line(), name, number, unit, limit(place, statement)));
  }

  /** True where two numbers are limits: they are said to be, or both are sizes and none counts. */
  private static boolean limits(Statement statement) {
    boolean said = LIMITS.stream().anyMatch(statement.names()::contains);
    return said
        || statement.entities().stream()
            .flatMap(entity -> entity.arguments().stream())
            .filter(Argument.Number.class::isInstance)
            .allMatch(number -> ((Argument.Number) number).literal().contains("."));
  }

  /**
   * The one of three that lies between the others, in either order; where the others are offsets of
   * it, the first.
   */
  private static BigDecimal nominal(List<BigDecimal> numbers) {
    BigDecimal first = numbers.get(0);
    BigDecimal second = numbers.get(1);
    BigDecimal third = numbers.get(2);
    boolean firstBetween = between(second, first, third);
    boolean offsets = third.abs().compareTo(first.abs().divide(BigDecimal.TWO)) < 0;
    boolean secondBetween =
        between(first, second, third) || between(third, second, first) && !offsets;
    return !firstBetween && secondBetween ? second : first;
  }

  private static boolean between(BigDecimal least, BigDecimal number, BigDecimal most) {
    return number.compareTo(least) >= 0 && number.compareTo(most) <= 0;
  }

  private String limit(int place, Statement statement) {
    String word = (statement.word().orElse("") + qualifier(place)).toUpperCase(Locale.ROOT);
    return word.startsWith("MIN") ? "MIN" : word.startsWith("MAX") ? "MAX" : "";
  }

  private String qualifier(int place) {
    for (int other : graph.referred(place)) {
      if (graph.role(other) == StatementRole.QUALIFIER) {
        return graph.statement(other).firstText();
      }
    }
    return "";
  }

  /** The unit beside a number, else the one of its kind in the context of its representation. */
  private Optional<MeasureUnit> unit(int place, String name) {
    for (int other : graph.referred(place)) {
      Optional<MeasureUnit> unit = units.of(graph.statement(other).id());
      if (unit.isPresent()) {
        return unit;
      }
    }
    UnitKind kind =
        dictionary
            .symbol(name)
            .flatMap(symbol -> Dictionary.standard().find(stepless(symbol)))
            .flatMap(Property::unit)
            .map(Unit::kind)
            .orElse(null);
    return kind == null ? Optional.empty() : inContext(place, kind);
  }

  /** The symbol of a step's dimension without the number of the step. */
  static String stepless(String symbol) {
    return symbol.replaceFirst("(?<=[A-Z])\\d{1,2}$", "");
  }

  private Optional<MeasureUnit> inContext(int place, UnitKind kind) {
    for (int representation : graph.referring(place)) {
      Optional<MeasureUnit> unit =
          contexts.computeIfAbsent(representation, this::unitsOf).stream()
              .filter(one -> one.unit().kind() == kind)
              .findFirst();
      if (unit.isPresent()) {
        return unit;
      }
    }
    return Optional.empty();
  }

  /** The units of the contexts that a representation refers to. */
  private List<MeasureUnit> unitsOf(int representation) {
    return graph.referred(representation).stream()
        .filter(context -> graph.role(context) == StatementRole.CONTEXT)
        .flatMap(context -> graph.referred(context).stream())
        .flatMap(one -> units.of(graph.statement(one).id()).stream())
        .toList();
  }

  /** Lists of names, values and units in one statement; a list of such lists as well. */
  private void lists(int place) {
    int item = graph.item(place).orElseThrow();
    Statement statement = graph.statement(place);
    for (Entity entity : statement.entities()) {
      List<Argument.Several> several =
          entity.arguments().stream()
              .filter(Argument.Several.class::isInstance)
              .map(Argument.Several.class::cast)
              .toList();
      for (Argument.Several list : several) {
        rows(list).forEach(row -> row(item, statement.line(), row));
      }
      columns(several).forEach(row -> row(item, statement.line(), row));
    }
  }

  private List<List<Argument>> rows(Argument.Several list) {
    List<List<Argument>> rows = new ArrayList<>();
    for (Argument argument : list.of()) {
      if (argument instanceof Argument.Several row && row.of().size() > 1) {
        rows.add(row.of());
      } else if (argument instanceof Argument.Typed row && row.entity().arguments().size() > 1) {
        rows.add(row.entity().arguments());
      }
    }
    return rows;
  }

  /** Lists of one length beside each other, the first of them names. */
  private List<List<Argument>> columns(List<Argument.Several> several) {
    List<List<Argument>> rows = new ArrayList<>();
    if (several.size() < 2 || !names(several.getFirst())) {
      return rows;
    }
    int length = several.getFirst().of().size();
    List<Argument.Several> alike =
        several.stream()
            .filter(list -> list.of().size() == length)
            .limit(NOMINAL_AND_LIMITS)
            .toList();
    for (int i = 0; alike.size() > 1 && i < length; i++) {
      int at = i;
      rows.add(alike.stream().map(list -> list.of().get(at)).toList());
    }
    return rows;
  }

  private boolean names(Argument.Several list) {
    return list.of().stream().allMatch(Argument.Text.class::isInstance)
        && list.of().stream().anyMatch(text -> dictionary.names(((Argument.Text) text).value()));
  }

  private void row(int item, long line, List<Argument> row) {
    if (!(row.getFirst() instanceof Argument.Text name) || name.value().isBlank()) {
      return;
    }
    Argument value = row.get(1);
    Optional<MeasureUnit> unit = row.size() > 2 ? unit(row.get(2)) : Optional.empty();
    List<BigDecimal> numbers = Literals.numbers(List.of(value));
    if (!numbers.isEmpty()) {
      add(item, PropertyReading.number(line, name.value(), numbers.getFirst(), unit, ""));
    } else if (value instanceof Argument.Text text && !text.value().isBlank()) {
      Optional<BigDecimal> written =
          unit.isPresent() ? Literals.number(text.value().strip()) : Optional.empty();
      add(
          item,
          written
              .map(number -> PropertyReading.number(line, name.value(), number, unit, ""))
              .orElseGet(() -> PropertyReading.text(line, name.value(), text.value())));
    } else {
      Literals.word(List.of(value))
          .ifPresent(word -> add(item, PropertyReading.text(line, name.value(), word)));
    }
  }

  private Optional<MeasureUnit> unit(Argument argument) {
    return switch (argument) {
      case Argument.Text text -> MeasureUnits.named(text.value());
      case Argument.Reference reference -> units.of(reference.id());
      default -> Optional.empty();
    };
  }
}
