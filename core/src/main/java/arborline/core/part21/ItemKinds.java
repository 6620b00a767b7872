package arborline.core.part21;

import arborline.core.exchange.ItemKind;
import arborline.core.recipe.ClassWords;
import arborline.core.tool.ToolClasses;
import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;

/** What an item is by the words that a file has for it. */
final class ItemKinds {

  /**
   * A kind of item, and the class of a tool.
   *
   * @param kind what it is; a stack for an assembly
   * @param classId of our tool classes; empty where none is named
   */
  record Named(ItemKind kind, Optional<String> classId) {}

  private static final Map<String, String> ROWS = rows();

  /** Classes of ours by what vendors call them, in small letters. */
  private static final Map<String, String> CLASSES = classes();

  private ItemKinds() {}

  private static Map<String, String> rows() {
    Map<String, String> rows = new HashMap<>();
    try (BufferedReader lines =
        new BufferedReader(
            new InputStreamReader(
                ItemKinds.class.getResourceAsStream("class-rows.tsv"), StandardCharsets.UTF_8))) {
      lines.lines().skip(1).map(line -> line.split("\t")).forEach(row -> rows.put(row[0], row[1]));
    } catch (IOException broken) {
      throw new UncheckedIOException(broken);
    }
    return Map.copyOf(rows);
  }

  /** Of several with one name the first. */
  private static Map<String, String> classes() {
    Map<String, String> classes = new HashMap<>();
    ROWS.forEach((id, row) ->
        classes.merge(
            row.toLowerCase(Locale.ROOT),
            id,
            (one, other) -> one.compareTo(other) < 0 ? one : other));
    return Map.copyOf(classes);
  }

  /** What vendors call a tool class of ours in general; nothing for one that has no such name. */
  static Optional<String> row(String classId) {
    return Optional.ofNullable(ROWS.get(classId));
  }

  /** What words name; nothing where they name neither a class nor a kind. */
  static Optional<Named> of(String words) {
    String text = " " + words.toLowerCase(Locale.ROOT) + " ";
    Optional<String> row = Optional.ofNullable(CLASSES.get(text.strip()));
    if (row.isPresent()) {
      return Optional.of(new Named(ItemKind.CUTTER, row));
    }
    return whole(text).or(() -> cutter(words)).or(() -> part(text));
  }

  private static Optional<Named> whole(String text) {
    if (text.contains("assembly")) {
      return Optional.of(new Named(ItemKind.STACK, Optional.empty()));
    }
    boolean insert =
        text.contains(" insert") && !text.contains("holder") && !text.contains("drill");
    return insert || text.contains("cutting item")
        ? Optional.of(new Named(ItemKind.INSERT, Optional.empty()))
        : Optional.empty();
  }

  private static Optional<Named> cutter(String words) {
    return ToolClasses.named(words)
        .map(known -> known.sheet().id())
        .or(() -> ClassWords.classOf(words))
        .map(id -> new Named(ItemKind.ofClass(id), Optional.of(id)));
  }

  private static Optional<Named> part(String text) {
    ItemKind kind =
        text.contains("collet") && !text.contains("holder") && !text.contains("chuck")
            ? ItemKind.COLLET
            : text.contains("extension") || text.contains("adapter") || text.contains("reducer")
                ? ItemKind.EXTENSION
                : text.contains("holder") || text.contains("chuck") || text.contains("arbor")
                    ? ItemKind.HOLDER
                    : null;
    return Optional.ofNullable(kind).map(known -> new Named(known, Optional.empty()));
  }
}
