package arborline.core.table;

import arborline.core.machine.Machine;
import com.google.auto.service.AutoService;
import java.io.IOException;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * A tool table as JSON with a revision: a writing says on which revision it was thought out, and
 * the control refuses it where it has another one by then. Tools carry up to two edges, each with
 * length and diameter, or X (as a diameter), Z and nose radius, and their wear. A row is written
 * whole.
 */
@AutoService(ControlDialect.class)
public final class RevisedJsonDialect implements ControlDialect {

  public static final String TABLE = "tooltable.json";

  static final int EDGES = 2;

  /** What each edge has, by its name in the document. */
  static final Map<String, TableField> EDGE_FIELDS =
      Map.ofEntries(
          Map.entry("length", TableField.LENGTH),
          Map.entry("diameter", TableField.DIAMETER),
          Map.entry("x", TableField.X),
          Map.entry("z", TableField.Z),
          Map.entry("noseRadius", TableField.NOSE_RADIUS),
          Map.entry("lengthWear", TableField.LENGTH_WEAR),
          Map.entry("diameterWear", TableField.DIAMETER_WEAR),
          Map.entry("xWear", TableField.X_WEAR),
          Map.entry("zWear", TableField.Z_WEAR),
          Map.entry("noseRadiusWear", TableField.NOSE_RADIUS_WEAR));

  /** What a tool has, by its name in the document. */
  static final Map<String, TableField> TOOL_FIELDS =
      Map.of(
          "tool", TableField.TOOL,
          "number", TableField.NUMBER,
          "offset", TableField.OFFSET,
          "name", TableField.NAME,
          "spindle", TableField.SPINDLE,
          "orientation", TableField.ORIENTATION);

  private static final int HIGHEST_NUMBER = 999_999;

  @Override
  public String id() {
    return "revised-json";
  }

  @Override
  public String title() {
    return "JSON with a revision";
  }

  @Override
  public List<ControlField> fields(Machine machine) {
    List<ControlField> fields = new ArrayList<>();
    TOOL_FIELDS.values().forEach(field -> fields.add(ControlField.of(field)));
    for (int edge = 1; edge <= EDGES; edge++) {
      for (TableField field : EDGE_FIELDS.values()) {
        ControlField kept =
            ControlField.of(field.edge(edge))
                .decimals(machine.habits().decimals())
                .scope(edge == 1 ? ControlField.Scope.OFFSET_NUMBER : ControlField.Scope.EDGE)
                .most(Register.most(machine, field));
        fields.add(field.equals(TableField.X) ? kept.shown(ControlField.Shown.TWICE) : kept);
      }
    }
    return fields;
  }

  @Override
  public List<String> documents() {
    return List.of(TABLE);
  }

  @Override
  public Optional<Instant> clock(Map<String, byte[]> documents) {
    return ControlClock.behind(documents.get(TABLE), "\"clock\"\\s*:\\s*\"");
  }

  @Override
  public ControlTable read(Machine machine, Map<String, byte[]> documents) throws IOException {
    return RevisedJson.read(machine, documents.get(TABLE));
  }

  @Override
  public TableEntry registered(TableEntry entry) {
    String number = entry.get(TableField.NUMBER);
    return number == null ? entry : entry.with(TableField.OFFSET, number);
  }

  @Override
  public Optional<String> refusal(Machine machine, TableEntry entry) {
    return KeptCodes.refusal(machine, entry.get(TableField.TOOL))
        .or(() -> KeptNumbers.refusal(machine, entry, HIGHEST_NUMBER));
  }

  @Override
  public List<ControlFile> write(Machine machine, ControlTable now, List<RowWrite> rows) {
    return rows.isEmpty()
        ? List.of()
        : List.of(
            new ControlFile(
                TABLE, "application/json", RevisedJson.written(machine, now.revision(), rows)));
  }
}
