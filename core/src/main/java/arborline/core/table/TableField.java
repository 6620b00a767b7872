package arborline.core.table;

import java.math.BigDecimal;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * A field that tool tables can have: what it means, and whose word counts. Which of them a control
 * keeps, and how it states them, it declares itself ({@link ControlField}); it may have fields of
 * its own that no standard names ({@link #own}). Two fields of one id are the same.
 */
public final class TableField implements Comparable<TableField> {

  private static final Map<String, TableField> STANDARD = new LinkedHashMap<>();
  private static final char EDGE = '@';

  public static final TableField TOOL = field("TOOL", "tool", "toolId", Owner.LIBRARY, Form.WORD);
  public static final TableField SISTER =
      field("SISTER", "sister number", "", Owner.LIBRARY, Form.COUNT);

  /** Which real piece it is; no control shows it. */
  public static final TableField PHYSICAL =
      field("PHYSICAL", "physical tool", "serialNumber", Owner.LIBRARY, Form.WORD);

  public static final TableField NUMBER =
      field("NUMBER", "number", "ProgramToolNumber", Owner.LIBRARY, Form.COUNT);
  public static final TableField OFFSET =
      field("OFFSET", "offset number", "", Owner.LIBRARY, Form.COUNT);
  public static final TableField NAME =
      field("NAME", "name", "Description", Owner.LIBRARY, Form.WORD);
  public static final TableField GROUP =
      field("GROUP", "sister group", "ProgramToolGroup", Owner.LIBRARY, Form.WORD);
  public static final TableField SPINDLE =
      field("SPINDLE", "spindle", "", Owner.LIBRARY, Form.WORD);
  public static final TableField LENGTH =
      field("LENGTH", "length", "FunctionalLength", Owner.MEASUREMENT, Form.SIZE);
  public static final TableField DIAMETER =
      field("DIAMETER", "diameter", "CuttingDiameter", Owner.MEASUREMENT, Form.SIZE);
  public static final TableField X = field("X", "X", "WF", Owner.MEASUREMENT, Form.SIZE);
  public static final TableField Z = field("Z", "Z", "LF", Owner.MEASUREMENT, Form.SIZE);
  public static final TableField NOSE_RADIUS =
      field("NOSE_RADIUS", "nose radius", "CornerRadius", Owner.MEASUREMENT, Form.SIZE);
  public static final TableField ORIENTATION =
      field("ORIENTATION", "tip orientation", "", Owner.LIBRARY, Form.COUNT);
  public static final TableField POINT_ANGLE =
      field("POINT_ANGLE", "point angle", "SIG", Owner.LIBRARY, Form.AMOUNT);
  public static final TableField PITCH = field("PITCH", "pitch", "TP", Owner.LIBRARY, Form.SIZE);
  public static final TableField WIDTH = field("WIDTH", "width", "CW", Owner.LIBRARY, Form.SIZE);
  public static final TableField EDGES =
      field("EDGES", "number of edges", "ZEFP", Owner.LIBRARY, Form.COUNT);

  /** Which way chips leave a router bit: up-cut, down-cut or compression. */
  public static final TableField DIRECTION =
      field("DIRECTION", "direction", "", Owner.LIBRARY, Form.WORD);

  public static final TableField HOOD = field("HOOD", "hood height", "", Owner.LIBRARY, Form.SIZE);
  public static final TableField BLOWER = field("BLOWER", "blower", "", Owner.LIBRARY, Form.WORD);
  public static final TableField LIFE_LIMIT =
      field("LIFE_LIMIT", "life, minutes", "ToolLife limit", Owner.LIBRARY, Form.AMOUNT);
  public static final TableField LIFE_WARNING =
      field("LIFE_WARNING", "warning, minutes", "ToolLife warning", Owner.LIBRARY, Form.AMOUNT);
  public static final TableField PARTS_LIMIT =
      field("PARTS_LIMIT", "life, parts", "ToolLife limit", Owner.LIBRARY, Form.COUNT);
  public static final TableField PARTS_WARNING =
      field("PARTS_WARNING", "warning, parts", "ToolLife warning", Owner.LIBRARY, Form.COUNT);
  public static final TableField LENGTH_WEAR =
      field("LENGTH_WEAR", "length wear", "", Owner.CONTROL, Form.WEAR);
  public static final TableField DIAMETER_WEAR =
      field("DIAMETER_WEAR", "diameter wear", "", Owner.CONTROL, Form.WEAR);
  public static final TableField X_WEAR =
      field("X_WEAR", "wear in X", "", Owner.CONTROL, Form.WEAR);
  public static final TableField Z_WEAR =
      field("Z_WEAR", "wear in Z", "", Owner.CONTROL, Form.WEAR);
  public static final TableField NOSE_RADIUS_WEAR =
      field("NOSE_RADIUS_WEAR", "wear of the nose radius", "", Owner.CONTROL, Form.WEAR);
  public static final TableField LIFE_USED =
      field("LIFE_USED", "minutes used", "ToolLife MINUTES", Owner.CONTROL, Form.AMOUNT);
  public static final TableField PARTS_USED =
      field("PARTS_USED", "parts made", "ToolLife PART_COUNT", Owner.CONTROL, Form.COUNT);
  public static final TableField STATUS =
      field("STATUS", "status", "CutterStatus", Owner.CONTROL, Form.WORD);

  /**
   * Whether the control takes the sizes of a tool for valid: {@code yes}, or {@code no} where it
   * forgot. The plan says yes of every tool whose sizes it has.
   */
  public static final TableField SET = field("SET", "set", "MEASURED", Owner.LIBRARY, Form.WORD);

  /** The number by which programs call a tool that has another one in its library. */
  public static final TableField PROGRAM_NUMBER =
      field("PROGRAM_NUMBER", "number in programs", "", Owner.LIBRARY, Form.COUNT);

  /** How a field is written. */
  public enum Form {
    WORD,
    /** A whole number. */
    COUNT,
    /** A length: mm and diameters in plans, the control's unit and register at a control. */
    SIZE,
    /** A length in the control's unit; not set and zero are the same. */
    WEAR,
    /** A number that is the same everywhere: minutes, degrees. */
    AMOUNT
  }

  /** What was measured of a tool, first edge. */
  public static final List<TableField> SIZES = List.of(LENGTH, DIAMETER, X, Z, NOSE_RADIUS);

  private static final Set<TableField> NUMBERS =
      Set.of(TOOL, SISTER, PHYSICAL, NUMBER, OFFSET, NAME);

  private final String id;
  private final String first;
  private final int rank;
  private final int edge;
  private final String title;
  private final String meaning;
  private final Owner owner;
  private final Form form;

  private TableField(
      String first, int rank, int edge, String title, String meaning, Owner owner, Form form) {
    this.id = edge == 1 ? first : first + EDGE + edge;
    this.first = first;
    this.rank = rank;
    this.edge = edge;
    this.title = title;
    this.meaning = meaning;
    this.owner = owner;
    this.form = form;
  }

  private static TableField field(String id, String title, String meaning, Owner owner, Form form) {
    TableField field = new TableField(id, STANDARD.size(), 1, title, meaning, owner, form);
    STANDARD.put(id, field);
    return field;
  }

  /**
   * A field that only one kind of control has.
   *
   * @param id capital letters, digits and {@code _}
   */
  public static TableField own(String id, String title, Owner owner, Form form) {
    return new TableField(id, Integer.MAX_VALUE, 1, title, "", owner, form);
  }

  /** The field of an id; of an unknown one a word whose meaning only its control knows. */
  public static TableField valueOf(String id) {
    TableField known = STANDARD.get(id);
    if (known != null) {
      return known;
    }
    int at = id.lastIndexOf(EDGE);
    TableField first = at < 0 ? null : STANDARD.get(id.substring(0, at));
    return first != null && id.substring(at + 1).matches("[2-9]|[1-9]\\d")
        ? first.edge(Integer.parseInt(id.substring(at + 1)))
        : own(id, id.toLowerCase(Locale.ROOT).replace('_', ' '), Owner.LIBRARY, Form.WORD);
  }

  /** The same of another cutting edge of the tool; 1 is the first. */
  public TableField edge(int number) {
    TableField known = STANDARD.get(first);
    return number == 1 && known != null
        ? known
        : new TableField(
            first, rank, number, "%s of edge %d".formatted(title, number), meaning, owner, form);
  }

  /** The same of the first cutting edge. */
  public TableField firstEdge() {
    return edge == 1 ? this : STANDARD.get(first);
  }

  /** Stable id: {@code LENGTH_WEAR}, of the second edge {@code LENGTH_WEAR@2}. */
  public String id() {
    return id;
  }

  public String title() {
    return title;
  }

  /** Its name in JSON: {@code noseRadius}, of the second edge {@code noseRadius@2}. */
  public String key() {
    StringBuilder key = new StringBuilder();
    for (String word : id.toLowerCase(Locale.ROOT).split("_")) {
      key.append(key.isEmpty() ? word : Character.toUpperCase(word.charAt(0)) + word.substring(1));
    }
    return key.toString();
  }

  /** Name in MTConnect or symbol in ISO 13399; empty where neither has it. */
  public String meaning() {
    return meaning;
  }

  public Owner owner() {
    return owner;
  }

  public Form form() {
    return form;
  }

  /** Which cutting edge it is of; 1 also for what is of the whole tool. */
  public int edge() {
    return edge;
  }

  /** True for what is measured of a tool. */
  public boolean measured() {
    return owner == Owner.MEASUREMENT;
  }

  /** True for what the library says of the tool itself, its numbers and name apart. */
  boolean stated() {
    return owner == Owner.LIBRARY && !NUMBERS.contains(this);
  }

  /** True where a text of it says anything: an empty word is none, and so is a wear of zero. */
  boolean says(String text) {
    return text != null
        && !text.isEmpty()
        && (form != Form.WEAR || new BigDecimal(text).signum() != 0);
  }

  /** The wear of a size, of the same edge; none for what is no measured size. */
  public Optional<TableField> wear() {
    return measured()
        ? Optional.ofNullable(STANDARD.get(first + "_WEAR")).map(wear -> wear.edge(edge))
        : Optional.empty();
  }

  @Override
  public int compareTo(TableField other) {
    int byRank = Integer.compare(rank, other.rank);
    int byEdge = byRank == 0 ? Integer.compare(edge, other.edge) : byRank;
    return byEdge == 0 ? id.compareTo(other.id) : byEdge;
  }

  @Override
  public boolean equals(Object other) {
    return this == other || other instanceof TableField field && id.equals(field.id);
  }

  @Override
  public int hashCode() {
    return id.hashCode();
  }

  /** Its id, by which rows are kept. */
  @Override
  public String toString() {
    return id;
  }
}
