package arborline.core.part21;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import arborline.core.exchange.ItemKind;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.stream.StreamSupport;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Property files of several exporters against what a careful reader takes from them. */
class ExchangedItemsTest {

  private static final JsonMapper JSON = JsonMapper.builder().build();
  private static final Map<ItemKind, String> KINDS =
      Map.of(
          ItemKind.CUTTER, "cutter",
          ItemKind.INSERT, "insert",
          ItemKind.HOLDER, "holder",
          ItemKind.COLLET, "collet",
          ItemKind.EXTENSION, "extension",
          ItemKind.STACK, "assembly");

  private static byte[] file(String name) throws IOException {
    try (InputStream file =
        ExchangedItemsTest.class.getResourceAsStream("/vectors/part21/" + name)) {
      return file.readAllBytes();
    }
  }

  private static PropertyDictionary dictionary(JsonNode truth) throws IOException {
    return truth.has("giveWith")
        ? PropertyDictionary.read(
            new ByteArrayInputStream(file(truth.get("giveWith").get(0).asString())))
        : PropertyDictionary.NONE;
  }

  private static String text(JsonNode node) {
    return node.isNull() ? "" : node.asString();
  }

  private final List<String> differences = new ArrayList<>();

  private void check(String what, Object wanted, Object got) {
    if (!wanted.equals(got)) {
      differences.add("%s: %s wanted, %s read".formatted(what, wanted, got));
    }
  }

  private void numbers(String id, JsonNode wanted, Map<String, BigDecimal> got) {
    check(id + " symbols", new TreeSet<>(wanted.propertyNames()), new TreeSet<>(got.keySet()));
    wanted
        .properties()
        .forEach(value -> {
          BigDecimal read = got.get(value.getKey());
          if (read != null && Math.abs(read.doubleValue() - value.getValue().asDouble()) > 0.001) {
            differences.add(
                "%s %s: %s wanted, %s read".formatted(id, value.getKey(), value.getValue(), read));
          }
        });
  }

  private void item(JsonNode wanted, ExchangedItem got) {
    String id = got.id();
    check(id + " kind", wanted.get("kind").asString(), KINDS.get(got.kind()));
    check(id + " class", text(wanted.get("class")), got.classRow().orElse(""));
    check(id + " name", wanted.get("name").asString(), got.name());
    numbers(id, wanted.get("values"), got.values());
    Map<String, String> texts = new TreeMap<>();
    wanted
        .get("texts")
        .properties()
        .forEach(one -> texts.put(one.getKey(), one.getValue().asString()));
    check(id + " texts", texts, got.texts());
    check(id + " machine side", text(wanted.at("/connections/machineSide")), got.machineSide());
    check(id + " work side", text(wanted.at("/connections/workSide")), got.workSide());
    check(id + " models", names(wanted.get("models")), new TreeSet<>(got.models()));
    check(id + " kept", names(wanted.get("kept")), new TreeSet<>(got.kept().keySet()));
    check(
        id + " parts",
        StreamSupport.stream(wanted.get("parts").spliterator(), false)
            .map(part ->
                "%s at %s".formatted(part.get("id").asString(), part.get("position").asDouble()))
            .toList(),
        got.parts().stream()
            .map(part ->
                "%s at %s"
                    .formatted(
                        part.id(), part.position().map(BigDecimal::doubleValue).orElse(null)))
            .toList());
  }

  private static TreeSet<String> names(JsonNode list) {
    TreeSet<String> names = new TreeSet<>();
    list.forEach(one -> names.add(one.asString()));
    return names;
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "g01-endmill-marram",
        "g02-drill-velm",
        "g03-insert-ossel",
        "g04-holder-ossel",
        "g05-assembly-brack",
        "g06-tap-sturrow",
        "g07-facemill-marram",
        "g08-router-dreave"
      })
  void everyExporterIsRead(String name) throws IOException {
    JsonNode truth = JSON.readTree(file(name + ".json"));
    ExchangedItems read = ExchangedItems.read(file(name + ".p21"), dictionary(truth));
    Map<String, ExchangedItem> items = new TreeMap<>();
    read.items().forEach(item -> items.put(item.id(), item));
    TreeSet<String> wanted = new TreeSet<>();
    for (JsonNode item : truth.get("items")) {
      wanted.add(item.get("id").asString());
      Optional.ofNullable(items.get(item.get("id").asString())).ifPresent(got -> item(item, got));
    }
    check("items", wanted, new TreeSet<>(items.keySet()));
    check(
        "faults",
        StreamSupport.stream(truth.get("faults").spliterator(), false)
            .map(
                fault -> "%s %s".formatted(fault.get("line").asInt(), fault.get("kind").asString()))
            .toList(),
        read.faults().stream().map(fault -> fault.line() + " " + fault.kind()).toList());
    truth
        .get("doubtful")
        .forEach(doubt -> {
          if (doubt.has("symbol")) {
            ExchangedItem item = items.get(doubt.get("item").asString());
            String symbol = doubt.get("symbol").asString();
            check(symbol + " is asked", true, item.doubtful().containsKey(symbol));
          }
        });
    assertEquals(List.of(), differences);
    assertTrue(read.items().stream().allMatch(item -> item.line() > 0));
  }
}
