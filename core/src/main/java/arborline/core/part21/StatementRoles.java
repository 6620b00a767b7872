package arborline.core.part21;

import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;

/**
 * Finds out what the statements of a property file are for, whatever the exporter calls them: by
 * words in the names of their entities, and by what stands in them.
 */
final class StatementRoles {

  private static final List<String> ITEMS =
      List.of(
          "ITEM",
          "PRODUCT",
          "TOOL",
          "RECORD",
          "ARTICLE",
          "PART",
          "ASSEMBLY",
          "INSERT",
          "HOLDER",
          "CUTTER",
          "COLLET",
          "EXTENSION",
          "COMPONENT");
  private static final List<String> NO_ITEMS =
      List.of(
          "PROPERTY",
          "REPRESENTATION",
          "VALUE",
          "MEASURE",
          "ASSOCIATION",
          "DEFINITION",
          "REFERENCE",
          "RELATION",
          "OCCURRENCE",
          "VERSION",
          "FEATURE",
          "CHARACTERISTIC");
  private static final List<String> PROPERTIES =
      List.of("PROPERTY", "REPRESENTATION_ITEM", "CHARACTERISTIC", "ATTRIBUTE", "PARAMETER");
  private static final Set<String> FILES =
      Set.of(
          "stp", "step", "stl", "dxf", "dwg", "igs", "iges", "pdf", "png", "jpg", "jpeg", "gif",
          "webp", "svg", "bmp", "tif", "tiff", "txt", "html", "glb", "wrl", "p21", "xml", "doc");

  /** From this share of known names on all first strings of an entity are names. */
  private static final double MOSTLY = 0.5;

  private final PropertyDictionary dictionary;
  private final Map<String, int[]> shares = new HashMap<>();

  StatementRoles(Part21Document document, PropertyDictionary dictionary) {
    this.dictionary = dictionary;
    for (Statement statement : document.statements()) {
      String first = statement.firstText();
      if (!first.isEmpty()) {
        int[] share = shares.computeIfAbsent(statement.names(), name -> new int[2]);
        share[0]++;
        share[1] += dictionary.names(first) ? 1 : 0;
      }
    }
  }

  StatementRole of(Statement statement) {
    String names = statement.names();
    if (MeasureUnits.is(statement)) {
      return StatementRole.UNIT;
    }
    if (has(names, "CONTEXT", "EXPONENTS") && !has(names, "PROPERTY", "MEASURE_REPRESENTATION")) {
      return StatementRole.CONTEXT;
    }
    if (has(names, "LANGUAGE")) {
      return StatementRole.LANGUAGE;
    }
    if (has(names, "PLACEMENT", "CARTESIAN", "DIRECTION", "TRANSFORMATION", "AXIS")) {
      return StatementRole.PLACE;
    }
    if (has(names, "QUALIFIER")) {
      return StatementRole.QUALIFIER;
    }
    return byWords(statement, names);
  }

  private StatementRole byWords(Statement statement, String names) {
    boolean named = dictionary.symbol(statement.firstText()).isPresent();
    if (!named && has(names, "CLASS", "CATEGORY")) {
      return StatementRole.CLASS;
    }
    if (!named && file(statement)) {
      return item(statement, names) ? StatementRole.ITEM : StatementRole.FILE;
    }
    if (has(names, "USAGE", "OCCURRENCE")) {
      return StatementRole.USAGE;
    }
    if (has(names, "CONNECTION")) {
      return StatementRole.CONNECTION;
    }
    if (item(statement, names)) {
      return StatementRole.ITEM;
    }
    if (property(statement, names)) {
      return StatementRole.PROPERTY;
    }
    return value(statement, names) ? StatementRole.VALUE : StatementRole.LINK;
  }

  private static boolean has(String names, String... words) {
    return Arrays.stream(words).anyMatch(names::contains);
  }

  private boolean item(Statement statement, String names) {
    boolean called =
        ITEMS.stream().anyMatch(names::contains) && NO_ITEMS.stream().noneMatch(names::contains);
    return called
        && !has(names, "FILE", "MODEL", "DOCUMENT")
        && !statement.firstText().isBlank()
        && statement.entities().getFirst().startsWithText();
  }

  /** True where a string on the first level is the name of a file. */
  static boolean file(Statement statement) {
    return statement.texts().stream().anyMatch(StatementRoles::fileName);
  }

  static boolean fileName(String text) {
    int dot = text.lastIndexOf('.');
    return dot > 0 && FILES.contains(text.substring(dot + 1).toLowerCase(Locale.ROOT));
  }

  private boolean property(Statement statement, String names) {
    String first = statement.firstText();
    if (first.isEmpty()) {
      return false;
    }
    boolean defined = has(names, "DEFINITION") && !has(names, "REPRESENTATION_ITEM");
    if (!defined && PROPERTIES.stream().anyMatch(names::contains)) {
      return true;
    }
    int[] share = shares.getOrDefault(names, new int[] {1, 0});
    return !valued(names) && dictionary.names(first) && share[1] >= MOSTLY * share[0];
  }

  private static boolean valued(String names) {
    return has(names, "VALUE", "STRING", "TEXT", "NUMERICAL", "MEASURE", "LIMIT", "RANGE");
  }

  private static boolean value(Statement statement, String names) {
    boolean literal =
        !statement.numbers().isEmpty()
            || statement.word().isPresent()
            || !statement.firstText().isEmpty();
    boolean joins = has(names, "REPRESENTATION", "ASSOCIATION", "DEFINITION", "ASSIGNMENT");
    return literal && (valued(names) && !joins || !statement.numbers().isEmpty() && !joins);
  }
}
