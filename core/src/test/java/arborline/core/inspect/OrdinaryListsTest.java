package arborline.core.inspect;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import arborline.core.exchange.CsvFormat;
import arborline.core.exchange.ItemSource;
import arborline.core.exchange.RawItem;
import arborline.core.exchange.TableReading;
import arborline.core.finding.Finding;
import arborline.core.finding.Severity;
import arborline.core.property.Dictionary;
import arborline.core.quantity.Unit;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import java.util.stream.StreamSupport;
import org.junit.jupiter.api.DynamicTest;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestFactory;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Tools as shops and vendors list them, with what they write and what they leave out. */
class OrdinaryListsTest {

  private static List<JsonNode> tools() throws IOException {
    try (InputStream file =
        OrdinaryListsTest.class.getResourceAsStream("/vectors/ordinary-lists.json")) {
      JsonNode all = JsonMapper.builder().build().readTree(file);
      return StreamSupport.stream(all.spliterator(), false).toList();
    }
  }

  @TestFactory
  Stream<DynamicTest> soundToolIsNotHeld() throws IOException {
    return tools().stream()
        .filter(line -> line.get("sound").asBoolean())
        .map(line ->
            DynamicTest.dynamicTest(
                "%s line %s".formatted(line.get("list").asString(), line.get("line")),
                () -> assertEquals(List.of(), holds(inspected(line)))));
  }

  /** Lists of our own: tools of every class, with as little as people write of them. */
  @TestFactory
  Stream<DynamicTest> soundToolOfOurOwnListsIsNotHeld() throws IOException {
    try (InputStream file =
        OrdinaryListsTest.class.getResourceAsStream("/vectors/ordinary-own.tsv")) {
      return new String(file.readAllBytes(), StandardCharsets.UTF_8)
          .lines()
          .filter(line -> !line.startsWith("#"))
          .map(line ->
              DynamicTest.dynamicTest(
                  line.replace('\t', ' '),
                  () -> assertEquals(List.of(), holds(through(file(line))))));
    }
  }

  private static Map<String, String> file(String line) {
    Map<String, String> cells = new LinkedHashMap<>(Map.of("CODE", "T-1"));
    cells.put("CLASS", line.split("\t")[0]);
    for (String cell : line.split("\t")[1].split("; ")) {
      cells.put(head(cell.split("=")[0]), cell.split("=")[1]);
    }
    return cells;
  }

  @Test
  void nothingIsAskedOfAToolThatSaysEverythingOrImpliesIt() throws IOException {
    JsonNode mill = tools().getFirst();
    assertEquals(Disposition.PASS, inspected(mill).disposition());
  }

  private static List<String> holds(Inspected inspected) {
    return inspected.findings().stream()
        .filter(finding -> finding.severity() == Severity.HOLD)
        .map(Finding::message)
        .toList();
  }

  /** Through a file of our own, as it would come in. */
  private static Inspected inspected(JsonNode tool) throws IOException {
    Map<String, String> cells = new LinkedHashMap<>();
    cells.put("CODE", "T-1");
    cells.put("CLASS", tool.get("class").asString());
    for (String group : List.of("values", "texts")) {
      tool.get(group)
          .propertyNames()
          .forEach(symbol -> cells.put(head(symbol), tool.get(group).get(symbol).asString()));
    }
    return through(cells);
  }

  private static Inspected through(Map<String, String> cells) throws IOException {
    String file =
        quoted(new ArrayList<>(cells.keySet()))
            + "\n"
            + quoted(new ArrayList<>(cells.values()))
            + "\n";
    byte[] bytes = file.getBytes(StandardCharsets.UTF_8);
    try (ItemSource source =
        new CsvFormat().open(new ByteArrayInputStream(bytes), bytes, TableReading.propose(bytes))) {
      RawItem raw = source.next().orElseThrow();
      assertTrue(raw.findings().isEmpty());
      return Inspector.inspect(raw);
    }
  }

  private static String head(String symbol) {
    return Dictionary.standard()
        .find(symbol)
        .flatMap(property -> property.unit())
        .filter(unit -> unit != Unit.ONE)
        .map(unit -> "%s [%s]".formatted(symbol, unit.code()))
        .orElse(symbol);
  }

  private static String quoted(List<String> cells) {
    return String.join(",", cells.stream().map(cell -> '"' + cell + '"').toList());
  }
}
