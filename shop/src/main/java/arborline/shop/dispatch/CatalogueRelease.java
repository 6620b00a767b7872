package arborline.shop.dispatch;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.TreeMap;

/**
 * One release of a vendor.
 *
 * @param id by which the dispatch sends it
 * @param dated day on which it came out
 * @param writer how its property files are built: {@code ids}, {@code lists} or {@code assemblies}
 * @param manifest {@code json} or {@code xml}
 * @param faults what goes wrong when it is packed
 */
record CatalogueRelease(
    String id,
    String vendor,
    String release,
    String dated,
    String writer,
    String manifest,
    List<CatalogueItem> items,
    List<PackingFault> faults) {

  /**
   * Something that goes wrong with an item.
   *
   * @param kind {@code missing-file}, {@code twice}, {@code wrong-model}, {@code broken-picture},
   *     {@code two-values}, {@code garbage}, {@code no-unit} or {@code dangling}
   * @param detail what of it
   */
  record PackingFault(String kind, String item, String detail) {}

  /** What {@code vendor.json} says. */
  record VendorFile(String vendor, String writer, String manifest, List<DatedRelease> releases) {}

  record DatedRelease(String release, String dated) {}

  /** Reads the releases of a vendor's folder. */
  static List<CatalogueRelease> read(Path folder) throws IOException {
    VendorFile about =
        Dispatch.JSON.readValue(Files.readString(folder.resolve("vendor.json")), VendorFile.class);
    List<CatalogueRelease> releases = new ArrayList<>();
    for (DatedRelease dated : about.releases()) {
      releases.add(
          new CatalogueRelease(
              folder.getFileName() + "-" + dated.release(),
              about.vendor(),
              dated.release(),
              dated.dated(),
              about.writer(),
              about.manifest(),
              items(folder.resolve(dated.release() + ".tsv")),
              faults(folder.resolve(dated.release() + ".faults.tsv"))));
    }
    return releases;
  }

  private static List<String> lines(Path table) throws IOException {
    return Files.readAllLines(table).stream().filter(line -> !line.startsWith("#")).toList();
  }

  private static List<CatalogueItem> items(Path table) throws IOException {
    List<String> lines = lines(table);
    String[] heads = lines.getFirst().split("\t");
    return lines.stream().skip(1).map(line -> item(heads, line.split("\t", -1))).toList();
  }

  private static CatalogueItem item(String[] heads, String[] cells) {
    TreeMap<String, String> words = new TreeMap<>();
    TreeMap<String, CatalogueItem.Size> sizes = new TreeMap<>();
    for (int i = 0; i < heads.length; i++) {
      if (List.of("ID", "WHAT", "NAME", "PARTS", "PROFILE").contains(heads[i])) {
        words.put(heads[i], cells[i]);
      } else if (!cells[i].isBlank()) {
        String unit = heads[i].replaceFirst("^[^\\[]*\\[?", "").replaceFirst("]$", "");
        sizes.put(heads[i].replaceFirst(" ?\\[.*", ""), new CatalogueItem.Size(cells[i], unit));
      }
    }
    return new CatalogueItem(
        words.get("ID"),
        words.get("WHAT"),
        words.get("NAME"),
        words.getOrDefault("PARTS", ""),
        words.getOrDefault("PROFILE", ""),
        sizes);
  }

  private static List<PackingFault> faults(Path table) throws IOException {
    return lines(table).stream()
        .map(line -> line.split("\t", -1))
        .map(cells -> new PackingFault(cells[0], cells[1], cells[2]))
        .toList();
  }

  /** The faults of an item of one kind. */
  List<PackingFault> faults(String item, String kind) {
    return faults.stream()
        .filter(fault -> fault.item().equals(item) && fault.kind().equals(kind))
        .toList();
  }
}
