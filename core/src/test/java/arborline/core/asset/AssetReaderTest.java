package arborline.core.asset;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import arborline.core.exchange.UnreadableFileException;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.math.BigDecimal;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

class AssetReaderTest {

  private static final Path FOLDER = Path.of("src/test/resources/vectors/assets");

  static List<String> documents() throws IOException {
    try (var files = Files.list(FOLDER)) {
      return files
          .map(file -> file.getFileName().toString())
          .filter(name -> name.endsWith(".xml"))
          .sorted()
          .toList();
    }
  }

  private static AssetDocument read(String document) throws UnreadableFileException {
    return AssetReader.read(new ByteArrayInputStream(document.getBytes(StandardCharsets.UTF_8)));
  }

  @ParameterizedTest
  @MethodSource("documents")
  void isReadAsACarefulReaderWould(String name) throws IOException {
    JsonNode truth =
        JsonMapper.builder()
            .build()
            .readTree(FOLDER.resolve(name.replace(".xml", ".json")).toFile());
    AssetDocument read;
    try (var document = Files.newInputStream(FOLDER.resolve(name))) {
      read = AssetReader.read(document);
    }
    assertEquals(truth.get("assets").size(), read.assets().size());
    for (int i = 0; i < read.assets().size(); i++) {
      asset(truth.get("assets").get(i), read.assets().get(i));
    }
    List<String> wanted = new ArrayList<>();
    truth
        .get("faults")
        .forEach(
            fault -> wanted.add(fault.get("line").asLong() + " " + fault.get("kind").asString()));
    assertEquals(
        wanted, read.faults().stream().map(fault -> fault.line() + " " + fault.kind()).toList());
    assertEquals(truth.get("doubtful").size(), read.doubtful().size(), read.doubtful().toString());
  }

  private static void asset(JsonNode truth, AssetDocument.Asset read) {
    String id = read.assetId().orElse("none");
    text(truth, "assetId", read.assetId());
    text(truth, "toolId", read.toolId());
    text(truth, "serial", read.serial());
    text(truth, "programToolNumber", read.programToolNumber());
    text(truth, "connection", read.connection());
    assertEquals(truth.get("kind").asString(), read.kind());
    sizes(truth, read.sizes(), id);
    HashSet<String> status = new HashSet<>();
    truth.get("status").forEach(one -> status.add(one.asString()));
    assertEquals(status, new HashSet<>(read.status()), id);
    life(truth.get("life"), read.life(), id);
    assertEquals(truth.get("location").isNull(), read.location().isEmpty(), id);
    read.location()
        .ifPresent(place -> {
          text(truth.get("location"), "type", place.type());
          text(truth.get("location"), "value", place.value());
          number(truth.get("location"), "positiveOverlap", place.positiveOverlap(), id);
          number(truth.get("location"), "negativeOverlap", place.negativeOverlap(), id);
        });
    assertEquals(truth.get("cuttingItems").size(), read.cuttingItems().size(), id);
    for (int i = 0; i < read.cuttingItems().size(); i++) {
      JsonNode item = truth.get("cuttingItems").get(i);
      text(item, "indices", read.cuttingItems().get(i).indices());
      text(item, "itemId", read.cuttingItems().get(i).itemId());
      text(item, "grade", read.cuttingItems().get(i).grade());
      sizes(item, read.cuttingItems().get(i).sizes(), id);
      life(item.get("life"), read.cuttingItems().get(i).life(), id);
    }
  }

  private static void text(JsonNode truth, String name, Optional<String> read) {
    JsonNode wanted = truth.get(name);
    assertEquals(wanted.isNull() ? Optional.empty() : Optional.of(wanted.asString()), read, name);
  }

  private static void number(JsonNode truth, String name, Optional<BigDecimal> read, String where) {
    JsonNode wanted = truth.get(name);
    assertEquals(
        wanted.isNull() ? "none" : wanted.decimalValue().stripTrailingZeros().toPlainString(),
        read.map(number -> number.stripTrailingZeros().toPlainString()).orElse("none"),
        where + " " + name);
  }

  private static void life(JsonNode truth, List<AssetDocument.Life> read, String id) {
    assertEquals(truth.size(), read.size(), id);
    for (int i = 0; i < read.size(); i++) {
      text(truth.get(i), "type", read.get(i).type());
      text(truth.get(i), "direction", read.get(i).direction());
      number(truth.get(i), "value", read.get(i).value(), id);
      number(truth.get(i), "limit", read.get(i).limit(), id);
      number(truth.get(i), "warning", read.get(i).warning(), id);
      number(truth.get(i), "initial", read.get(i).initial(), id);
    }
  }

  private static void sizes(JsonNode truth, AssetDocument.Sizes read, String id) {
    assertEquals(numbers(truth.get("values")), plain(read.values()), id);
    assertEquals(numbers(truth.get("measured")), plain(read.measured()), id);
    Map<String, String> limits = new TreeMap<>();
    read.limits()
        .forEach((symbol, limit) ->
            limits.put(
                symbol,
                limit.minimum().orElseThrow().toPlainString()
                    + " "
                    + limit.maximum().orElseThrow().toPlainString()));
    Map<String, String> wanted = new TreeMap<>();
    truth
        .get("limits")
        .properties()
        .forEach(limit ->
            wanted.put(
                limit.getKey(),
                limit.getValue().get(0).asString() + " " + limit.getValue().get(1).asString()));
    assertEquals(wanted, limits, id);
  }

  private static Map<String, String> numbers(JsonNode node) {
    Map<String, String> numbers = new TreeMap<>();
    node.properties()
        .forEach(value ->
            numbers.put(
                value.getKey(),
                value.getValue().decimalValue().stripTrailingZeros().toPlainString()));
    return numbers;
  }

  private static Map<String, String> plain(Map<String, BigDecimal> read) {
    Map<String, String> plain = new TreeMap<>();
    read.forEach((symbol, number) -> plain.put(symbol, number.toPlainString()));
    return plain;
  }

  @Test
  void aBareToolWithoutNamespaceIsReadAndForeignElementsAreNot() throws IOException {
    AssetDocument read =
        read(
            "<CuttingTool assetId='A' xmlns:f='urn:f'><f:CuttingTool assetId='B'/>"
                + "<CuttingToolDefinition><CuttingTool assetId='C'/></CuttingToolDefinition>"
                + "<CuttingToolLifeCycle><Measurements>"
                + "<f:FunctionalLength code='LF' nominal='1'/>"
                + "<FunctionalLength nominal='100.50'>100.<!-- x -->4</FunctionalLength>"
                + "<Unheard nominal='3'/></Measurements></CuttingToolLifeCycle></CuttingTool>");
    assertEquals(1, read.assets().size());
    assertEquals("{LF=100.5}", read.assets().getFirst().sizes().values().toString());
    assertEquals("{LF=100.4}", read.assets().getFirst().sizes().measured().toString());
  }

  @Test
  void unknownUnitsMissingIdsAndUnheardStatusAreSaid() throws IOException {
    AssetDocument read =
        read(
            """
            <MTConnectAssets xmlns="urn:mtconnect.org:MTConnectAssets:1.3"><Assets>
            <CuttingTool toolId="T"><CuttingToolLifeCycle>
            <CutterStatus><Status>TIRED</Status></CutterStatus>
            <Measurements><FunctionalLength code="LF" units="FURLONG" nominal="1">2</FunctionalLength>
            <Weight code="WT">800</Weight></Measurements>
            </CuttingToolLifeCycle></CuttingTool>
            <CuttingTool assetId="A"/><CuttingTool assetId="A"/>
            </Assets></MTConnectAssets>
            """);
    assertEquals(
        List.of("2 missing-asset-id", "3 unknown-status", "4 unknown-unit", "7 duplicate-asset-id"),
        read.faults().stream().map(fault -> fault.line() + " " + fault.kind()).toList());
    assertEquals(3, read.assets().size());
    assertTrue(read.assets().getFirst().sizes().values().isEmpty());
    assertEquals("WT", read.doubtful().getFirst().symbol().orElseThrow());
  }

  @Test
  void entitiesAndWhatIsNoXmlAreRefused() {
    assertThrows(UnreadableFileException.class, () -> read("tools"));
    assertThrows(UnreadableFileException.class, () -> read(""));
    assertThrows(
        UnreadableFileException.class,
        () ->
            read(
                "<!DOCTYPE a [<!ENTITY x SYSTEM 'file:///etc/passwd'>]><CuttingTool>&x;</CuttingTool>"));
  }
}
