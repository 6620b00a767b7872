package arborline.core.part21;

import arborline.core.exchange.ItemKind;
import arborline.core.exchange.UnreadableFileException;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.SortedMap;
import java.util.TreeMap;
import java.util.stream.Stream;

/**
 * The items of a property file, whichever exporter wrote it. Source: ISO 13399 properties in ISO
 * 10303-21 files.
 *
 * @param vendor the organisation that the header names; empty where it names none
 */
public record ExchangedItems(String vendor, List<ExchangedItem> items, List<Part21Fault> faults) {

  private static final String MACHINE_SIDE = "CCMS";
  private static final String WORK_SIDE = "CCWS";
  private static final int ORGANISATION = 3;
  private static final int DEEPEST_NAME = 4;

  /**
   * Reads a file.
   *
   * @throws UnreadableFileException where it is no exchange file, or holds more than can be
   */
  public static ExchangedItems read(byte[] file, PropertyDictionary dictionary)
      throws UnreadableFileException {
    Part21Document document = Part21Document.read(file);
    Builder builder = new Builder(document, dictionary);
    List<ExchangedItem> items = builder.items();
    List<Part21Fault> faults = new ArrayList<>(document.faults());
    faults.addAll(builder.faults);
    faults.sort(Comparator.comparingLong(Part21Fault::line));
    return new ExchangedItems(vendor(document), items, List.copyOf(faults));
  }

  private static String vendor(Part21Document document) {
    return document
        .header("FILE_NAME")
        .map(Entity::arguments)
        .filter(arguments -> arguments.size() > ORGANISATION)
        .map(arguments -> arguments.get(ORGANISATION))
        .filter(Argument.Several.class::isInstance)
        .flatMap(list -> Literals.texts(((Argument.Several) list).of()).stream().findFirst())
        .orElse("");
  }

  /** Puts together what belongs to each item. */
  private static final class Builder {
    private final PropertyGraph graph;
    private final PropertyDictionary dictionary;
    private final MeasureUnits units;
    private final PropertyReadings readings;
    private final ItemPlaces places;
    private final List<Part21Fault> faults = new ArrayList<>();

    /** Statements that name files, and usages of parts, by the item that they belong to. */
    private final Map<Integer, List<Integer>> files = new HashMap<>();

    private final Map<Integer, List<Integer>> usages = new HashMap<>();

    /** What texts name: items of a file share them. */
    private final Map<String, Optional<ItemKinds.Named>> kinds = new HashMap<>();

    Builder(Part21Document document, PropertyDictionary dictionary) {
      this.graph = new PropertyGraph(document, dictionary);
      this.dictionary = dictionary;
      this.units = new MeasureUnits(document);
      this.readings = new PropertyReadings(graph, dictionary, units);
      this.places = new ItemPlaces(graph, units);
      for (int i = 0; i < graph.size(); i++) {
        int place = i;
        if (graph.role(i) == StatementRole.FILE) {
          graph.item(i).ifPresent(item -> note(files, item, place));
        } else if (graph.role(i) == StatementRole.USAGE && itemsOf(i).size() > 1) {
          note(usages, itemsOf(i).getFirst(), place);
        }
      }
    }

    private static void note(Map<Integer, List<Integer>> lists, int item, int place) {
      lists.computeIfAbsent(item, key -> new ArrayList<>()).add(place);
    }

    /** The items that a usage joins, the assembly first. */
    private List<Integer> itemsOf(int usage) {
      return graph.referred(usage).stream().flatMap(other -> graph.item(other).stream()).toList();
    }

    List<ExchangedItem> items() {
      List<ExchangedItem> items = new ArrayList<>();
      for (int i = 0; i < graph.size(); i++) {
        if (graph.role(i) == StatementRole.ITEM) {
          items.add(item(i));
        }
      }
      return items;
    }

    private ExchangedItem item(int place) {
      Statement statement = graph.statement(place);
      ItemValues values = new ItemValues(readings.of(place), dictionary, faults);
      readings.missing(place).forEach(values::missing);
      SortedMap<String, String> names = names(place);
      List<ExchangedItem.Part> parts = parts(place);
      Optional<ItemKinds.Named> named = named(place);
      Optional<String> classText = classText(statement);
      String name =
          names.isEmpty()
              ? statement.texts().stream()
                  .skip(1)
                  .filter(text -> !text.equals(classText.orElse(null)))
                  .findFirst()
                  .orElse(classText.orElse(""))
              : names.getOrDefault("en", names.firstEntry().getValue());
      SortedMap<String, String> sides = connections(place, values);
      return new ExchangedItem(
          statement.line(),
          statement.firstText().strip(),
          named.map(ItemKinds.Named::kind).orElseGet(() -> kind(parts, sides, values)),
          named.flatMap(ItemKinds.Named::classId),
          name.strip(),
          names,
          values.numbers,
          values.authored,
          values.texts,
          values.ranges,
          sides.getOrDefault(MACHINE_SIDE, ""),
          sides.getOrDefault(WORK_SIDE, ""),
          parts,
          models(place),
          values.kept,
          values.doubtful);
    }

    private static ItemKind kind(
        List<ExchangedItem.Part> parts, Map<String, String> sides, ItemValues values) {
      if (!parts.isEmpty()) {
        return ItemKind.STACK;
      }
      if (sides.size() == 2) {
        return ItemKind.HOLDER;
      }
      return values.numbers.containsKey("IC") ? ItemKind.INSERT : ItemKind.CUTTER;
    }

    /** The names of an item by language, the one that is referred to first before the others. */
    private SortedMap<String, String> names(int place) {
      SortedMap<String, String> names = new TreeMap<>();
      graph.referred(place).forEach(other -> names(other, names, 0));
      return names;
    }

    private void names(int place, Map<String, String> names, int depth) {
      if (graph.role(place) != StatementRole.LANGUAGE || depth > DEEPEST_NAME) {
        return;
      }
      String text = graph.statement(place).firstText();
      List<Integer> referred = graph.referred(place);
      boolean leaf = referred.isEmpty();
      if (!leaf && !text.isEmpty()) {
        names.putIfAbsent(graph.statement(referred.getFirst()).firstText(), text);
      } else {
        referred.forEach(next -> names(next, names, depth + 1));
      }
    }

    /** The string of an item that says what it is, and not what it is called. */
    private Optional<String> classText(Statement statement) {
      return statement.texts().stream()
          .skip(1)
          .filter(text -> text.chars().noneMatch(Character::isDigit))
          .filter(text -> kindOf(text).isPresent())
          .min(
              Comparator.comparing((String text) -> Character.isUpperCase(text.charAt(0)))
                  .thenComparingInt(String::length));
    }

    private Optional<ItemKinds.Named> kindOf(String text) {
      return kinds.computeIfAbsent(text, ItemKinds::of);
    }

    private Optional<ItemKinds.Named> named(int place) {
      List<String> classes = classes(place);
      Optional<ItemKinds.Named> byId =
          classes.stream()
              .flatMap(text -> Optional.ofNullable(dictionary.classes().get(text)).stream())
              .flatMap(text -> kindOf(text).stream())
              .findFirst();
      return byId.or(() -> classText(graph.statement(place)).flatMap(this::kindOf))
          .or(() -> classes.stream().flatMap(text -> kindOf(text).stream()).findFirst());
    }

    private List<String> classes(int place) {
      List<String> texts = new ArrayList<>();
      Stream.concat(graph.referring(place).stream(), graph.referred(place).stream())
          .filter(other -> graph.role(other) == StatementRole.CLASS)
          .forEach(other -> {
            graph.referred(other).stream()
                .filter(next -> graph.role(next) == StatementRole.CLASS)
                .forEach(next -> texts.addAll(graph.statement(next).texts()));
            texts.addAll(graph.statement(other).texts());
          });
      return texts;
    }

    /** Connection codes by symbol, from properties and from statements of their own. */
    private SortedMap<String, String> connections(int place, ItemValues values) {
      SortedMap<String, String> sides = new TreeMap<>();
      for (String symbol : List.of(MACHINE_SIDE, WORK_SIDE)) {
        Optional.ofNullable(values.texts.remove(symbol)).ifPresent(code -> sides.put(symbol, code));
      }
      Stream.concat(graph.referring(place).stream(), graph.referred(place).stream())
          .filter(other -> graph.role(other) == StatementRole.CONNECTION)
          .forEach(other -> {
            List<String> texts = graph.statement(other).texts();
            String side =
                texts.isEmpty() ? "" : texts.getFirst().toLowerCase(java.util.Locale.ROOT);
            if (texts.size() > 1) {
              sides.putIfAbsent(
                  side.contains("machine") || side.equals("ms") ? MACHINE_SIDE : WORK_SIDE,
                  texts.getLast().strip());
            }
          });
      return sides;
    }

    private List<ExchangedItem.Part> parts(int place) {
      record Use(String order, ExchangedItem.Part part) {}
      List<Use> uses = new ArrayList<>();
      for (int usage : usages.getOrDefault(place, List.of())) {
        int part = itemsOf(usage).get(1);
        uses.add(
            new Use(
                graph.statement(usage).firstText(),
                new ExchangedItem.Part(
                    graph.statement(part).firstText().strip(), places.of(usage))));
      }
      uses.sort(Comparator.comparing(Use::order));
      return uses.stream().map(Use::part).toList();
    }

    private List<String> models(int place) {
      Statement own = graph.statement(place);
      Stream<String> named =
          files.getOrDefault(place, List.of()).stream()
              .flatMap(file -> graph.statement(file).texts().stream());
      return Stream.of(named, own.texts().stream(), listed(own))
          .flatMap(texts -> texts)
          .filter(StatementRoles::fileName)
          .distinct()
          .toList();
    }

    private static Stream<String> listed(Statement statement) {
      return statement.entities().stream()
          .flatMap(entity -> entity.arguments().stream())
          .filter(Argument.Several.class::isInstance)
          .flatMap(list -> Literals.texts(((Argument.Several) list).of()).stream());
    }
  }
}
