package arborline.core.part21;

import java.util.Arrays;
import java.util.List;

/** What the names of a statement's entities say of it, worked out once for each such name. */
record StatementNames(
    boolean unit,
    boolean context,
    boolean language,
    boolean place,
    boolean qualifier,
    boolean classed,
    boolean used,
    boolean connection,
    boolean item,
    boolean property,
    boolean valued,
    boolean joins) {

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

  static StatementNames of(Statement statement) {
    String names = statement.names();
    boolean defined = has(names, "DEFINITION") && !has(names, "REPRESENTATION_ITEM");
    return new StatementNames(
        MeasureUnits.is(statement),
        has(names, "CONTEXT", "EXPONENTS") && !has(names, "PROPERTY", "MEASURE_REPRESENTATION"),
        has(names, "LANGUAGE"),
        has(names, "PLACEMENT", "CARTESIAN", "DIRECTION", "TRANSFORMATION", "AXIS"),
        has(names, "QUALIFIER"),
        has(names, "CLASS", "CATEGORY"),
        has(names, "USAGE", "OCCURRENCE"),
        has(names, "CONNECTION"),
        has(names, ITEMS) && !has(names, NO_ITEMS) && !has(names, "FILE", "MODEL", "DOCUMENT"),
        !defined && has(names, PROPERTIES),
        has(names, "VALUE", "STRING", "TEXT", "NUMERICAL", "MEASURE", "LIMIT", "RANGE"),
        has(names, "REPRESENTATION", "ASSOCIATION", "DEFINITION", "ASSIGNMENT"));
  }

  private static boolean has(String names, String... words) {
    return has(names, Arrays.asList(words));
  }

  private static boolean has(String names, List<String> words) {
    return words.stream().anyMatch(names::contains);
  }
}
