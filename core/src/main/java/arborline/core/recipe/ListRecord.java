package arborline.core.recipe;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * A record of an XML or JSON list while it is read: its fields by name, and the cutting data inside
 * it.
 */
final class ListRecord {

  private static final int MOST_FIELDS = 300;

  private final long line;
  private final Map<String, String> fields = new LinkedHashMap<>();
  private final List<ListRecord> cutting = new ArrayList<>(0);

  ListRecord(long line) {
    this.line = line;
  }

  long line() {
    return line;
  }

  Map<String, String> fields() {
    return fields;
  }

  List<ListRecord> cutting() {
    return cutting;
  }

  /** Adds a field; one of the same name inside another object gets that one's name before it. */
  void put(String parent, String name, String value) {
    String own = name.strip();
    String text = value.strip();
    if (text.isEmpty() || fields.size() >= MOST_FIELDS) {
      return;
    }
    boolean taken =
        fields.containsKey(own) || !parent.isEmpty() && HeaderCell.of(parent + " " + own).known();
    fields.put(taken && !parent.isEmpty() ? parent + " " + own : own, text);
  }

  /** What outer elements say of a record: kind and unit by name, the rest behind their own name. */
  void inherit(String parent, Map<String, String> outer) {
    outer.forEach((name, value) -> {
      Meaning meaning = HeaderCell.of(name).meaning().orElse(Meaning.NOTE);
      boolean inherited = meaning == Meaning.KIND || meaning == Meaning.UNIT;
      if (inherited) {
        fields.putIfAbsent(name, value);
      } else if (ClassWords.find(value).isPresent() && !hasKind()) {
        fields.putIfAbsent("kind", value);
      } else {
        fields.putIfAbsent(name.startsWith(parent) ? name : (parent + " " + name).strip(), value);
      }
    });
  }

  private boolean hasKind() {
    return fields.keySet().stream()
        .anyMatch(name -> HeaderCell.of(name).meaning().filter(Meaning.KIND::equals).isPresent());
  }

  /** True where at least one of its fields is one that we know. */
  boolean speaksOfTools() {
    return fields.keySet().stream()
        .map(HeaderCell::of)
        .anyMatch(cell ->
            cell.symbol().isPresent()
                || cell.meaning().filter(meaning -> meaning != Meaning.NOTE).isPresent());
  }

  /** True for a speed or a feed without a tool of its own. */
  boolean onlyCutting() {
    boolean cuts = false;
    for (String name : fields.keySet()) {
      Meaning meaning = HeaderCell.of(name).meaning().orElse(Meaning.NOTE);
      switch (meaning) {
        case SPEED, FEED_TOOTH, FEED_TURN -> cuts = true;
        case CODE, DIAMETER, LENGTH_OVERALL, KIND -> {
          return false;
        }
        default -> {
          // says nothing either way
        }
      }
    }
    return cuts;
  }
}
