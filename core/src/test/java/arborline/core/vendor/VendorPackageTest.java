package arborline.core.vendor;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import arborline.core.part21.PropertyDictionary;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.util.Collections;
import java.util.Map;
import java.util.SortedSet;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Packages of a vendor against what a careful reader takes from them. */
class VendorPackageTest {

  private static final JsonMapper JSON = JsonMapper.builder().build();

  /** Files in memory. */
  private record Held(TreeMap<String, byte[]> files) implements PackageFiles {

    @Override
    public SortedSet<String> names() {
      return Collections.unmodifiableSortedSet(new TreeSet<>(files.keySet()));
    }

    @Override
    public long size(String name) {
      return files.get(name).length;
    }

    @Override
    public byte[] content(String name) {
      return files.get(name);
    }
  }

  private static byte[] resource(String name) throws IOException {
    try (InputStream file =
        VendorPackageTest.class.getResourceAsStream("/vectors/part21/" + name)) {
      return file.readAllBytes();
    }
  }

  private static Held unpacked(String name) throws IOException {
    TreeMap<String, byte[]> files = new TreeMap<>();
    try (ZipInputStream zip = new ZipInputStream(new ByteArrayInputStream(resource(name)))) {
      for (ZipEntry entry = zip.getNextEntry(); entry != null; entry = zip.getNextEntry()) {
        if (!entry.isDirectory()) {
          files.put(entry.getName(), zip.readAllBytes());
        }
      }
    }
    return new Held(files);
  }

  private static Held of(Map<String, String> texts) {
    TreeMap<String, byte[]> files = new TreeMap<>();
    texts.forEach((name, text) -> files.put(name, text.getBytes(StandardCharsets.UTF_8)));
    return new Held(files);
  }

  private static String value(VendorPackage.PackedItem packed, String symbol) {
    String text = packed.item().texts().get(symbol);
    return text == null ? "%.4f".formatted(packed.item().values().get(symbol).doubleValue()) : text;
  }

  @ParameterizedTest
  @ValueSource(strings = {"k1-marram-2026-1", "k2-marram-2026-2"})
  void everyItemPictureAndFaultOfAPackageIsFound(String name) throws IOException {
    JsonNode truth = JSON.readTree(resource(name + ".json"));
    VendorPackage read = VendorPackage.read(unpacked(name + ".zip"), PropertyDictionary.NONE);
    assertEquals(truth.get("vendor").asString(), read.vendor());
    assertEquals(truth.get("release").asString(), read.release());
    TreeSet<String> wanted = new TreeSet<>();
    for (JsonNode item : truth.get("items")) {
      item.get("values")
          .properties()
          .forEach(value ->
              wanted.add(
                  "%s %s %s %.4f"
                      .formatted(
                          item.get("id").asString(),
                          item.get("class").asString(),
                          value.getKey(),
                          value.getValue().asDouble())));
      item.get("texts")
          .properties()
          .forEach(text ->
              wanted.add(
                  "%s %s %s %s"
                      .formatted(
                          item.get("id").asString(),
                          item.get("class").asString(),
                          text.getKey(),
                          text.getValue().asString())));
    }
    TreeSet<String> got = new TreeSet<>();
    for (VendorPackage.PackedItem packed : read.items()) {
      TreeSet<String> symbols = new TreeSet<>(packed.item().values().keySet());
      symbols.addAll(packed.item().texts().keySet());
      symbols.forEach(symbol ->
          got.add(
              "%s %s %s %s"
                  .formatted(
                      packed.item().id(),
                      packed.item().classRow().orElse("none"),
                      symbol,
                      value(packed, symbol))));
    }
    assertEquals(wanted, got);
    TreeSet<String> faults = new TreeSet<>();
    truth
        .get("faults")
        .forEach(
            fault -> faults.add(fault.get("file").asString() + " " + fault.get("kind").asString()));
    TreeSet<String> found = new TreeSet<>();
    read.faults().forEach(fault -> found.add(fault.file() + " " + fault.kind()));
    assertEquals(faults, found);
    truth
        .get("pictures")
        .forEach(picture ->
            assertEquals(
                new PictureSize(picture.get("width").asInt(), picture.get("height").asInt()),
                read.pictures().get(picture.get("file").asString())));
  }

  private static String item(String id, String diameter) {
    return """
    ISO-10303-21;
    HEADER;
    FILE_NAME('a.p21','2026-03-02T09:14:00',(''),('Dreave Edge'),'','','');
    ENDSEC;
    DATA;
    #1=ITEM('%s','twist drill','Drill');
    #2=UNIT('mm');
    #3=TOOL_PROPERTY('DC',#1,%s,#2,$);
    ENDSEC;
    END-ISO-10303-21;
    """
        .formatted(id, diameter);
  }

  @Test
  void withoutAManifestTheVendorIsTheOneInTheHeaders() throws IOException {
    VendorPackage read =
        VendorPackage.read(of(Map.of("a.p21", item("D-5", "5."))), PropertyDictionary.NONE);
    assertEquals("Dreave Edge", read.vendor());
    assertEquals("", read.release());
    assertEquals("D-5", read.items().getFirst().item().id());
  }

  @Test
  void anItemInTwoFilesIsOneAndAnotherUnderItsIdIsAFault() throws IOException {
    VendorPackage read =
        VendorPackage.read(
            of(
                Map.of(
                    "a.p21", item("D-5", "5."),
                    "b.p21", item("D-5", "5.0"),
                    "c.p21", item("D-5", "6."))),
            PropertyDictionary.NONE);
    assertEquals(2, read.items().size());
    assertEquals(java.util.List.of("a.p21", "b.p21"), read.items().getFirst().files());
    assertEquals("c.p21", read.faults().getFirst().file());
    assertEquals("duplicate-item-id", read.faults().getFirst().kind());
  }

  @Test
  void whatIsNoPropertyFileIsAFaultOfThatFile() throws IOException {
    VendorPackage read =
        VendorPackage.read(
            of(
                Map.of(
                    "a.p21",
                    "nothing",
                    "b.p21",
                    item("D-6", "6."),
                    "manifest.json",
                    "{\"vendor\":")),
            PropertyDictionary.NONE);
    assertEquals(1, read.items().size());
    assertTrue(
        read.faults().stream().anyMatch(fault -> fault.file().equals("a.p21")),
        read.faults().toString());
    assertTrue(
        read.faults().stream().anyMatch(fault -> fault.file().equals("manifest.json")),
        read.faults().toString());
  }
}
