package arborline.core.part21;

import java.util.HashMap;
import java.util.Locale;
import java.util.Map;
import java.util.Set;

/**
 * Finds out what the statements of a property file are for, whatever the exporter calls them: by
 * words in the names of their entities, and by what stands in them.
 */
final class StatementRoles {

  private static final Set<String> FILES =
      Set.of(
          "stp", "step", "stl", "dxf", "dwg", "igs", "iges", "pdf", "png", "jpg", "jpeg", "gif",
          "webp", "svg", "bmp", "tif", "tiff", "txt", "html", "glb", "wrl", "p21", "xml", "doc");

  /** From this share of known names on all first strings of an entity are names. */
  private static final double MOSTLY = 0.5;

  private final PropertyDictionary dictionary;
  private final Map<String, int[]> shares = new HashMap<>();
  private final Map<String, StatementNames> known = new HashMap<>();

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
    StatementNames names =
        known.computeIfAbsent(statement.names(), key -> StatementNames.of(statement));
    if (names.unit()) {
      return StatementRole.UNIT;
    }
    if (names.context()) {
      return StatementRole.CONTEXT;
    }
    if (names.language()) {
      return StatementRole.LANGUAGE;
    }
    if (names.place()) {
      return StatementRole.PLACE;
    }
    return names.qualifier() ? StatementRole.QUALIFIER : byContent(statement, names);
  }

  private StatementRole byContent(Statement statement, StatementNames names) {
    boolean named = dictionary.symbol(statement.firstText()).isPresent();
    if (!named && names.classed()) {
      return StatementRole.CLASS;
    }
    if (!named && file(statement)) {
      return item(statement, names) ? StatementRole.ITEM : StatementRole.FILE;
    }
    if (names.used()) {
      return StatementRole.USAGE;
    }
    if (names.connection()) {
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

  private static boolean item(Statement statement, StatementNames names) {
    return names.item()
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

  private boolean property(Statement statement, StatementNames names) {
    String first = statement.firstText();
    if (first.isEmpty()) {
      return false;
    }
    if (names.property()) {
      return true;
    }
    int[] share = shares.getOrDefault(statement.names(), new int[] {1, 0});
    return !names.valued() && dictionary.names(first) && share[1] >= MOSTLY * share[0];
  }

  private static boolean value(Statement statement, StatementNames names) {
    boolean numbered = !statement.numbers().isEmpty();
    boolean literal = numbered || statement.word().isPresent() || !statement.firstText().isEmpty();
    return literal && !names.joins() && (names.valued() || numbered);
  }
}
