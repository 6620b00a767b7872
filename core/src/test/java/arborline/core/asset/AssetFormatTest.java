package arborline.core.asset;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import arborline.core.asset.AssetDocument.Asset;
import arborline.core.exchange.Bundle;
import arborline.core.exchange.BundleFormat;
import arborline.core.exchange.BundleFormats;
import arborline.core.exchange.BundleSink;
import arborline.core.exchange.Contents;
import arborline.core.exchange.ItemSource;
import arborline.core.exchange.RawItem;
import arborline.core.exchange.TableReading;
import arborline.core.exchange.UnreadableFileException;
import arborline.core.exchange.WriteOptions;
import arborline.core.tool.Sample;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import org.junit.jupiter.api.Test;

class AssetFormatTest {

  private static final Path ASSETS = Path.of("src/test/resources/vectors/assets");
  private static final BundleFormat FORMAT = BundleFormats.named("mtconnect").orElseThrow();

  private static String written() throws IOException {
    ByteArrayOutputStream file = new ByteArrayOutputStream();
    WriteOptions options = new WriteOptions("Shop", Contents.of(List.of()), Optional.empty());
    try (BundleSink sink = FORMAT.create(file, options)) {
      sink.write(
          new Bundle(
              Sample.tool("CLASS=end-mill-flat CODE=M<10 DC=10 OAL=72 DMM=10 NOF=4 WT=0.05"),
              OptionalInt.of(12)));
    }
    return file.toString(StandardCharsets.UTF_8);
  }

  private static List<RawItem> read(byte[] file) throws IOException {
    List<RawItem> items = new ArrayList<>();
    try (ItemSource source =
        BundleFormats.recognise(file)
            .open(new ByteArrayInputStream(file), file, TableReading.propose(file))) {
      for (Optional<RawItem> next = source.next(); next.isPresent(); next = source.next()) {
        items.add(next.get());
      }
    }
    return items;
  }

  private static List<RawItem> read(String document) throws IOException {
    return read(document.getBytes(StandardCharsets.UTF_8));
  }

  @Test
  void anyReaderOfTheStandardFindsTheSizesOfAnArchetype() throws IOException {
    AssetDocument document =
        AssetReader.read(new ByteArrayInputStream(written().getBytes(StandardCharsets.UTF_8)));
    assertEquals(List.of(), document.faults());
    Asset asset = document.assets().getFirst();
    assertEquals("CuttingToolArchetype", asset.kind());
    assertEquals(Optional.of("M<10"), asset.toolId());
    assertEquals(Optional.of("12"), asset.programToolNumber());
    assertEquals("{DMM=10, OAL=72, WT=0.05}", sizes(asset.sizes()));
    assertEquals(Optional.of("1-4"), asset.cuttingItems().getFirst().indices());
    assertEquals("{DC=10}", sizes(asset.cuttingItems().getFirst().sizes()));
  }

  private static String sizes(AssetDocument.Sizes sizes) {
    java.util.TreeMap<String, String> plain = new java.util.TreeMap<>();
    sizes.values().forEach((symbol, size) -> plain.put(symbol, size.toPlainString()));
    plain.keySet().removeIf(symbol -> !List.of("DC", "DMM", "OAL", "WT").contains(symbol));
    return plain.toString();
  }

  @Test
  void aMeasurementThatSomebodyChangedIsAskedAbout() throws IOException {
    String changed =
        written().replace("units=\"MILLIMETER\" nominal=\"72\"", "units=\"INCH\" nominal=\"3\"");
    RawItem item = read(changed).getFirst();
    assertEquals("definition-differs", item.findings().getFirst().code());
    assertTrue(item.findings().getFirst().message().contains("OAL is 72 mm in the definition"));
  }

  @Test
  void toolsOfOtherMakersArriveWithSizesNumberAndState() throws IOException {
    RawItem item = read(Files.readAllBytes(ASSETS.resolve("a01-endmill-1-3.xml"))).getFirst();
    assertTrue(item.cells().containsKey("DC") || item.cells().containsKey("DCX"));
    assertTrue(item.cells().containsKey("OAL") || item.cells().containsKey("LF"));
    assertTrue(item.cells().keySet().stream().anyMatch(RawItem::isNote));
  }

  @Test
  void everyAssetOfADocumentIsAnItemWithItsFaults() throws IOException {
    List<RawItem> items = read(Files.readAllBytes(ASSETS.resolve("a05-five-assets-2-0.xml")));
    assertEquals(5, items.size());
    assertTrue(items.stream().anyMatch(item -> !item.findings().isEmpty()));
  }

  @Test
  void aDocumentThatIsCutOffIsRefusedWithItsLine() {
    UnreadableFileException refused =
        assertThrows(
            UnreadableFileException.class,
            () ->
                read(
                    "<MTConnectAssets xmlns=\"urn:mtconnect.org:MTConnectAssets:2.2\">\n<Assets>"));
    assertTrue(refused.getMessage().startsWith("line "), refused.getMessage());
  }
}
