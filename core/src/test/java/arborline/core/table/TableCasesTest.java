package arborline.core.table;

import static org.junit.jupiter.api.Assertions.assertEquals;

import arborline.core.quantity.Unit;
import java.io.IOException;
import java.io.InputStream;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Stream;
import org.junit.jupiter.api.DynamicTest;
import org.junit.jupiter.api.TestFactory;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Worked cases of tool tables: what is proposed for each place, why, and what a sending writes. */
class TableCasesTest {

  private static final Map<String, TableField> NAMES =
      Map.ofEntries(
          Map.entry("tool", TableField.TOOL),
          Map.entry("physical", TableField.PHYSICAL),
          Map.entry("sister", TableField.SISTER),
          Map.entry("number", TableField.NUMBER),
          Map.entry("offset", TableField.OFFSET),
          Map.entry("length", TableField.LENGTH),
          Map.entry("diameter", TableField.DIAMETER),
          Map.entry("radius", TableField.DIAMETER),
          Map.entry("x", TableField.X),
          Map.entry("z", TableField.Z),
          Map.entry("noseRadius", TableField.NOSE_RADIUS),
          Map.entry("orientation", TableField.ORIENTATION),
          Map.entry("wearLength", TableField.LENGTH_WEAR),
          Map.entry("wearDiameter", TableField.DIAMETER_WEAR),
          Map.entry("wearX", TableField.X_WEAR),
          Map.entry("wearZ", TableField.Z_WEAR));

  @TestFactory
  Stream<DynamicTest> everyPlaceIsProposedAsWorkedOut() throws IOException {
    try (InputStream file = getClass().getResourceAsStream("/vectors/tables.json")) {
      JsonNode cases = JsonMapper.builder().build().readTree(file).get("cases");
      List<DynamicTest> tests = new ArrayList<>();
      for (JsonNode worked : cases) {
        tests.add(
            DynamicTest.dynamicTest(
                worked.get("id").asString() + " " + worked.get("title").asString(),
                () -> check(worked.get("input"), worked.get("truth"))));
      }
      return tests.stream();
    }
  }

  private static void check(JsonNode input, JsonNode truth) {
    ControlTerms terms = terms(input.get("machine"));
    ToolTables tables =
        new ToolTables(
            entries(input.get("plan")),
            nominal(input.get("nominal")),
            input.get("agreed").isNull()
                ? Optional.empty()
                : Optional.of(entries(input.get("agreed"))),
            new ControlTable(
                entries(input.at("/control/places")),
                Optional.of(input.at("/control/spindle"))
                    .filter(row -> !row.isNull())
                    .map(TableCasesTest::entry)));
    WritePlan writes = new WritePlan(tables, terms);
    Map<String, String> expected = new TreeMap<>();
    Map<String, String> found = new TreeMap<>();
    for (PlaceReport report : Reconciler.reconcile(tables, terms)) {
      JsonNode wanted = truth.get(report.place());
      if (wanted == null) {
        continue;
      }
      expected.put(report.place(), wanted.get("do").asString() + " " + why(wanted));
      found.put(
          report.place(),
          report.why().proposed().name().toLowerCase(Locale.ROOT) + " " + code(report.why()));
      if (wanted.has("writes")) {
        RowWrite row = writes.of(report, Decision.SEND).write().orElseThrow();
        for (Map.Entry<String, JsonNode> write : wanted.get("writes").properties()) {
          TableField field = NAMES.get(write.getKey());
          assertEquals(
              0,
              compare(field, write.getValue().asString(), row.target().get(field)),
              report.place() + " " + field);
          assertEquals(true, row.fields().contains(field), report.place() + " " + field);
        }
      }
    }
    assertEquals(expected, found);
  }

  private static int compare(TableField field, String one, String other) {
    return field == TableField.TOOL
        ? one.compareTo(other)
        : new BigDecimal(one).compareTo(new BigDecimal(other));
  }

  /** Equal and equal within what the control shows may stand for each other. */
  private static String why(JsonNode wanted) {
    return wanted.get("why").asString().replace("within-resolution", "equal");
  }

  private static String code(Why why) {
    return why.code().replace("within-resolution", "equal");
  }

  private static ControlTerms terms(JsonNode machine) {
    Map<TableField, Integer> decimals = new HashMap<>();
    machine
        .get("decimals")
        .properties()
        .forEach(field -> decimals.put(NAMES.get(field.getKey()), field.getValue().asInt()));
    Map<TableField, BigDecimal> most = new HashMap<>();
    machine
        .get("limits")
        .properties()
        .forEach(field ->
            most.put(NAMES.get(field.getKey()), new BigDecimal(field.getValue().asString())));
    return new ControlTerms(
        Unit.named(machine.get("unit").asString()).orElseThrow(),
        Register.valueOf(
                machine.get("register").asString().toUpperCase(Locale.ROOT).replace('-', '_'))
            .fields(machine.get("wear").asBoolean())
            .stream()
            .map(field -> field.decimals(decimals.getOrDefault(field.field(), 3)))
            .map(field -> field.most(Optional.ofNullable(most.get(field.field()))))
            .toList(),
        machine.get("identity").asString().equals("apart"),
        machine.get("random").asBoolean());
  }

  private static Map<String, Nominal> nominal(JsonNode tools) {
    Map<String, Nominal> nominal = new HashMap<>();
    for (Map.Entry<String, JsonNode> tool : tools.properties()) {
      Map<TableField, BigDecimal> sizes = new HashMap<>();
      for (TableField field : TableField.SIZES) {
        NAMES.forEach((name, candidate) -> {
          if (candidate == field && tool.getValue().hasNonNull(name)) {
            sizes.put(field, new BigDecimal(tool.getValue().get(name).asString()));
          }
        });
      }
      JsonNode tolerance = tool.getValue().get("tolerance");
      nominal.put(
          tool.getKey().toUpperCase(Locale.ROOT),
          new Nominal(
              sizes,
              tolerance == null || tolerance.isNull()
                  ? Optional.empty()
                  : Optional.of(new BigDecimal(tolerance.asString())),
              Map.of(),
              Set.of()));
    }
    return nominal;
  }

  private static Map<String, TableEntry> entries(JsonNode rows) {
    Map<String, TableEntry> entries = new HashMap<>();
    rows.properties().forEach(cell -> entries.put(cell.getKey(), entry(cell.getValue())));
    return entries;
  }

  private static TableEntry entry(JsonNode row) {
    TableEntry entry = TableEntry.EMPTY;
    for (Map.Entry<String, JsonNode> cell : row.properties()) {
      if (!cell.getValue().isNull()) {
        entry = entry.with(NAMES.get(cell.getKey()), cell.getValue().asString());
      }
    }
    return entry;
  }
}
