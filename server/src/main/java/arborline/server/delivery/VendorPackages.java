package arborline.server.delivery;

import arborline.core.exchange.UnreadableFileException;
import arborline.core.library.Codes;
import arborline.core.part21.ExchangedItems;
import arborline.core.part21.PropertyDictionary;
import arborline.core.vendor.Described;
import arborline.core.vendor.Manifest;
import arborline.core.vendor.PictureSize;
import arborline.server.support.Json;
import java.io.IOException;
import java.io.InputStream;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** What deliveries of vendors say of themselves. */
@Component
public class VendorPackages {

  private static final int LARGEST = 64 * 1024 * 1024;
  private static final int LARGEST_PROPERTIES = 8 * 1024 * 1024;
  private static final int LONGEST_VENDOR = 100;
  private static final int LONGEST_RELEASE = 60;
  private static final int LONGEST_MESSAGE = 300;
  private static final int MOST_FAULTS = 500;
  private static final Set<String> PICTURES = Set.of("png", "jpg", "jpeg", "gif", "bmp");

  private final DocumentRepository documents;
  private final StoredFile files;
  private final Json json;
  private final JdbcClient jdbc;

  VendorPackages(DocumentRepository documents, StoredFile files, Json json, JdbcClient jdbc) {
    this.documents = documents;
    this.files = files;
    this.json = json;
    this.jdbc = jdbc;
  }

  /**
   * Something that is wrong with a package as a whole or with a file of it.
   *
   * @param kind {@code missing-file}, {@code not-a-picture} or {@code unreadable}
   */
  public record PackageFault(String file, String kind, String message) {}

  /**
   * A delivery of a vendor.
   *
   * @param vendorKey by which its name is compared
   * @param release empty where none is named
   * @param manifest its file; empty where there is none
   * @param notCompared items that the manifest names and whose file is not there
   */
  public record VendorPackage(
      String vendor,
      String vendorKey,
      String release,
      String manifest,
      List<PackageFault> faults,
      List<String> notCompared) {}

  /**
   * What the files of a delivery say of the others.
   *
   * @param faults files that cannot be read
   */
  public record Description(
      Optional<Manifest> manifest, PropertyDictionary dictionary, List<PackageFault> faults) {}

  /** Reads manifest and dictionary of a delivery. */
  public Description describe(List<Document> all) throws IOException {
    Optional<Manifest> manifest = Optional.empty();
    PropertyDictionary dictionary = PropertyDictionary.NONE;
    List<PackageFault> faults = new ArrayList<>();
    for (Document document : all) {
      if (document.format.equals(Document.DESCRIPTION)) {
        try {
          Described found = Described.read(document.path, content(document, LARGEST));
          manifest = manifest.or(found::manifest);
          dictionary = found.dictionary().orElse(dictionary);
        } catch (UnreadableFileException broken) {
          faults.add(new PackageFault(document.path, "unreadable", broken.getMessage()));
        }
      }
    }
    return new Description(manifest, dictionary, faults);
  }

  /** What a delivery says of itself; nothing where it comes from no vendor. */
  public Optional<VendorPackage> read(long deliveryId) throws IOException {
    List<Document> all = documents.findByDeliveryIdOrderByFileNo(deliveryId);
    List<Document> properties =
        all.stream().filter(document -> document.format.equals(Document.PROPERTIES)).toList();
    if (properties.isEmpty()) {
      return Optional.empty();
    }
    Description description = describe(all);
    String vendor =
        description
            .manifest()
            .map(Manifest::vendor)
            .filter(name -> !name.isBlank())
            .orElseGet(() -> organisation(properties));
    if (Codes.key(vendor).isEmpty()) {
      return Optional.empty();
    }
    List<PackageFault> faults = new ArrayList<>(description.faults());
    List<String> missing =
        description
            .manifest()
            .map(manifest -> manifest.missing(all.stream().map(one -> one.path).toList()))
            .orElse(List.of());
    missing.forEach(file ->
        faults.add(
            new PackageFault(
                file,
                "missing-file",
                "the manifest names it, and it is not in the package; ask the vendor for it")));
    pictures(all, description.manifest(), faults);
    return Optional.of(
        new VendorPackage(
            cut(vendor, LONGEST_VENDOR),
            cut(Codes.key(vendor), LONGEST_VENDOR),
            cut(description.manifest().map(Manifest::release).orElse(""), LONGEST_RELEASE),
            description.manifest().map(Manifest::file).orElse(""),
            faults.stream().limit(MOST_FAULTS).map(VendorPackages::shortened).toList(),
            items(description.manifest(), missing)));
  }

  private static PackageFault shortened(PackageFault fault) {
    return new PackageFault(fault.file(), fault.kind(), cut(fault.message(), LONGEST_MESSAGE));
  }

  /** The items that missing property files are of. */
  private static List<String> items(Optional<Manifest> manifest, List<String> missing) {
    return manifest.stream()
        .flatMap(known -> known.named().stream())
        .filter(named -> missing.contains(named.file()) && ending(named.file()).equals("p21"))
        .map(named -> named.id().isEmpty() ? base(named.file()) : named.id())
        .distinct()
        .toList();
  }

  private static String base(String path) {
    String name = path.substring(path.lastIndexOf('/') + 1);
    return name.substring(0, name.lastIndexOf('.'));
  }

  /** The organisation that the first readable property file names. */
  private String organisation(List<Document> properties) {
    for (Document document : properties) {
      try {
        String vendor =
            ExchangedItems.read(content(document, LARGEST_PROPERTIES), PropertyDictionary.NONE)
                .vendor();
        if (!vendor.isBlank()) {
          return vendor;
        }
      } catch (IOException unreadable) {
        continue;
      }
    }
    return "";
  }

  private void pictures(List<Document> all, Optional<Manifest> manifest, List<PackageFault> faults)
      throws IOException {
    List<String> called = manifest.map(Manifest::pictures).orElse(List.of());
    for (Document document : all) {
      boolean picture = PICTURES.contains(ending(document.name)) || called.contains(document.path);
      if (picture && PictureSize.of(content(document, LARGEST)).isEmpty()) {
        faults.add(
            new PackageFault(
                document.path,
                "not-a-picture",
                "it is called a picture, and is none or cut off; ask the vendor for it"));
      }
    }
  }

  private byte[] content(Document document, int most) throws IOException {
    try (InputStream content = files.open(document.deliveryId, document.fileNo)) {
      return content.readNBytes(most);
    }
  }

  private static String ending(String name) {
    return name.substring(name.lastIndexOf('.') + 1).toLowerCase(Locale.ROOT);
  }

  private static String cut(String text, int length) {
    return text.length() > length ? text.substring(0, length) : text;
  }

  /** Keeps what a delivery says of itself, in place of what was kept before. */
  @Transactional
  public void keep(long deliveryId, VendorPackage known) {
    jdbc.sql(
            """
            replace into vendor_package (delivery_id, vendor, vendor_key, release_name, manifest,
              faults, not_compared) values (?, ?, ?, ?, ?, ?, ?)\
            """)
        .params(
            deliveryId,
            known.vendor(),
            known.vendorKey(),
            known.release(),
            known.manifest(),
            json.text(known.faults()),
            json.text(known.notCompared()))
        .update();
  }

  /** What is kept of a delivery; nothing where it comes from no vendor. */
  @Transactional(readOnly = true)
  public Optional<VendorPackage> of(long deliveryId) {
    return jdbc.sql("select * from vendor_package where delivery_id = ?")
        .param(deliveryId)
        .query((row, index) ->
            new VendorPackage(
                row.getString("vendor"),
                row.getString("vendor_key"),
                row.getString("release_name"),
                row.getString("manifest"),
                Stream.of(json.read(row.getString("faults"), PackageFault[].class)).toList(),
                Stream.of(json.read(row.getString("not_compared"), String[].class)).toList()))
        .optional();
  }
}
