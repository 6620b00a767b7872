package arborline.shop.dispatch;

import arborline.core.stack.StepSolid;
import arborline.core.tool.outline.Point;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.SortedMap;
import java.util.TreeMap;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;

/**
 * Packs a release as its vendor does: property files, models, pictures, a leaflet, a manifest, and
 * a dictionary where the vendor writes ids; with what goes wrong. The same release is the same
 * bytes every time.
 */
final class PackageWriter {

  /** When the models were drawn: one that stays as it is stays the same file. */
  private static final LocalDate DRAWN = LocalDate.of(2025, 11, 3);

  private final CatalogueRelease release;
  private final ItemStatements statements;
  private final SortedMap<String, byte[]> files = new TreeMap<>();
  private final Map<String, List<String>> named = new LinkedHashMap<>();
  private final Instant drawn;

  private PackageWriter(CatalogueRelease release) {
    this.release = release;
    this.statements = ItemStatements.named(release.writer());
    this.drawn = DRAWN.atStartOfDay(ZoneOffset.UTC).toInstant();
  }

  static byte[] zip(CatalogueRelease release) throws IOException {
    return new PackageWriter(release).zip();
  }

  private byte[] zip() throws IOException {
    for (CatalogueItem item : release.items()) {
      pack(item);
    }
    put(
        "leaflet.txt",
        "%s, release %s\nAll sizes without engagement.\n"
            .formatted(release.vendor(), release.release()));
    if (release.writer().equals("ids")) {
      put(
          "dictionary.json",
          Dispatch.JSON
              .writerWithDefaultPrettyPrinter()
              .writeValueAsString(Map.of("properties", IdStatements.dictionary(release))));
    }
    manifest();
    ByteArrayOutputStream bytes = new ByteArrayOutputStream();
    try (ZipOutputStream zip = new ZipOutputStream(bytes, StandardCharsets.UTF_8)) {
      for (Map.Entry<String, byte[]> file : files.entrySet()) {
        ZipEntry entry = new ZipEntry(file.getKey());
        entry.setTimeLocal(LocalDate.parse(release.dated()).atStartOfDay());
        zip.putNextEntry(entry);
        zip.write(file.getValue());
      }
    }
    return bytes.toByteArray();
  }

  private void put(String path, String text) {
    files.put(path, text.getBytes(StandardCharsets.UTF_8));
  }

  private void pack(CatalogueItem item) throws IOException {
    String properties = "items/%s.p21".formatted(item.id());
    List<String> own = new ArrayList<>(List.of(properties));
    named.put(item.id(), own);
    if (release.faults(item.id(), "missing-file").isEmpty()) {
      put(properties, file(item, faulty(item, statements.data(release, twoValues(item)))));
    }
    for (CatalogueRelease.PackingFault fault : release.faults(item.id(), "twice")) {
      TreeMap<String, CatalogueItem.Size> other = new TreeMap<>(item.sizes());
      other.put(
          fault.detail().replaceFirst(" .*", ""),
          new CatalogueItem.Size(fault.detail().replaceFirst(".*=", ""), "mm"));
      CatalogueItem twin =
          new CatalogueItem(item.id(), item.what(), item.name(), "", item.profile(), other);
      put("items/%s_L.p21".formatted(item.id()), file(twin, statements.data(release, twin)));
    }
    double wrong =
        release.faults(item.id(), "wrong-model").stream()
            .mapToDouble(fault -> Double.parseDouble(fault.detail()))
            .findFirst()
            .orElse(0);
    List<Point> profile = ItemProfile.of(item, wrong);
    if (!profile.isEmpty()) {
      StringBuilder model = new StringBuilder();
      StepSolid.write(model, item.id(), profile, drawn);
      put("models/%s.stp".formatted(item.id()), model.toString());
      own.add("models/%s.stp".formatted(item.id()));
    }
    if (!item.assembly() && !item.what().equals("collet")) {
      byte[] picture = ItemPicture.of(item);
      boolean broken = !release.faults(item.id(), "broken-picture").isEmpty();
      String path = "pictures/%s.png".formatted(item.id());
      files.put(path, broken ? java.util.Arrays.copyOf(picture, picture.length / 2) : picture);
      own.add(path);
    }
  }

  /** With a property that is written twice, where that goes wrong. */
  private CatalogueItem twoValues(CatalogueItem item) {
    TreeMap<String, CatalogueItem.Size> sizes = new TreeMap<>(item.sizes());
    for (CatalogueRelease.PackingFault fault : release.faults(item.id(), "two-values")) {
      sizes.put(
          fault.detail().replaceFirst(" .*", " "),
          new CatalogueItem.Size(fault.detail().replaceFirst(".*=", ""), "mm"));
    }
    return new CatalogueItem(
        item.id(), item.what(), item.name(), item.parts(), item.profile(), sizes);
  }

  private String file(CatalogueItem item, String data) {
    return """
    ISO-10303-21;
    HEADER;
    FILE_DESCRIPTION((%s),'3;1');
    FILE_NAME('%s.p21','%sT08:00:00',(''),('%s'),'','catalogue writer','');
    FILE_SCHEMA(('TOOL_PROPERTIES'));
    ENDSEC;
    DATA;
    %sENDSEC;
    END-ISO-10303-21;
    """
        .formatted(
            ItemStatements.quoted(item.name()), item.id(), release.dated(), release.vendor(), data);
  }

  /** The statements with what goes wrong in them. */
  private String faulty(CatalogueItem item, String data) {
    String faulty = data;
    for (CatalogueRelease.PackingFault fault : release.faults()) {
      String property = fault.detail().replaceFirst(" .*", "");
      faulty =
          !fault.item().equals(item.id())
              ? faulty
              : switch (fault.kind()) {
                case "garbage" -> faulty + fault.detail() + "\n";
                case "no-unit" ->
                    faulty.replaceAll("('%s',[^,]*),#\\d+,".formatted(property), "$1,\\$,");
                case "dangling" ->
                    faulty.replaceAll("('%s',[^,]*),#\\d+,".formatted(property), "$1,#9999,");
                default -> faulty;
              };
    }
    return faulty;
  }

  private void manifest() {
    if (release.manifest().equals("xml")) {
      StringBuilder items = new StringBuilder();
      named.forEach((id, own) -> {
        items.append("  <item id=\"%s\">\n".formatted(id));
        own.forEach(path -> items.append("    <file>%s</file>\n".formatted(path)));
        items.append("  </item>\n");
      });
      put(
          "package.xml",
          """
          <?xml version="1.0" encoding="UTF-8"?>
          <package>
            <header><vendor>%s</vendor><release>%s</release><made>%s</made></header>
          %s</package>
          """
              .formatted(release.vendor(), release.release(), release.dated(), items));
      return;
    }
    Map<String, Object> manifest = new LinkedHashMap<>();
    manifest.put("package", release.vendor() + " catalogue");
    manifest.put("vendor", release.vendor());
    manifest.put("release", release.release());
    manifest.put("made", release.dated());
    manifest.put(
        "items",
        named.entrySet().stream()
            .map(item -> Map.of("id", item.getKey(), "files", item.getValue()))
            .toList());
    manifest.put("documents", List.of("leaflet.txt"));
    put(
        "manifest.json",
        Dispatch.JSON.writerWithDefaultPrettyPrinter().writeValueAsString(manifest));
  }
}
