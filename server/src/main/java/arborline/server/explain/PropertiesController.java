package arborline.server.explain;

import arborline.core.exchange.ItemKind;
import arborline.core.exchange.UnreadableFileException;
import arborline.core.part21.ExchangedItem;
import arborline.core.part21.ExchangedItems;
import arborline.core.part21.PropertyDictionary;
import arborline.core.vendor.PictureSize;
import arborline.core.vendor.VendorPackage;
import arborline.server.support.ZipOfFiles;
import com.fasterxml.jackson.annotation.JsonProperty;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.math.BigDecimal;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.concurrent.Semaphore;
import org.jspecify.annotations.Nullable;
import org.springframework.http.MediaType;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.multipart.MultipartFile;
import org.springframework.web.multipart.MultipartHttpServletRequest;

@RestController
@RequestMapping("/api/v1/explain")
class PropertiesController {

  private static final long LARGEST = 8L * 1024 * 1024;
  private static final long LARGEST_PACKAGE = 256L * 1024 * 1024;
  private static final long LARGEST_DICTIONARY = 1024L * 1024;

  /** A file is held in memory while it is read; more than a few at once wait. */
  private final Semaphore turns = new Semaphore(2, true);

  /**
   * What a property file or a package says.
   *
   * @param valid false where it cannot be read; {@code reason} says why then
   * @param pictures of a package, by their names
   */
  record ExplainedItems(
      boolean valid,
      @Nullable String reason,
      @Nullable String vendor,
      @Nullable String release,
      @Nullable String manifest,
      List<ExchangedItemView> items,
      List<PackagePictureView> pictures,
      List<String> documents,
      List<PackageFaultView> faults,
      List<AskedValueView> doubtful) {}

  /**
   * An item; what is not written is null.
   *
   * @param kind {@code cutter}, {@code insert}, {@code holder}, {@code extension}, {@code collet}
   *     or {@code assembly}
   * @param classId our tool class
   * @param toolClass what such tools are called in general
   * @param ranges least and greatest by symbol
   * @param kept properties that are none of ours, as they are written
   */
  record ExchangedItemView(
      String id,
      String kind,
      @Nullable String classId,
      @JsonProperty("class") @Nullable String toolClass,
      String name,
      Map<String, String> names,
      Map<String, BigDecimal> values,
      Map<String, String> texts,
      Map<String, List<BigDecimal>> ranges,
      ItemSidesView connections,
      List<ExchangedPartView> parts,
      List<String> models,
      List<String> kept,
      List<String> files,
      long line) {}

  record ItemSidesView(@Nullable String machineSide, @Nullable String workSide) {}

  /** A part of an assembly; mm from its origin, null where no place is written. */
  record ExchangedPartView(String id, @Nullable BigDecimal position) {}

  record PackagePictureView(String file, int width, int height) {}

  /** Something that is wrong: in which file of a package, on which line. */
  record PackageFaultView(
      @Nullable String file, @Nullable Long line, String kind, String message) {}

  /** Something that a person must be asked or shown. */
  record AskedValueView(String item, String symbol, String about) {}

  /**
   * Reads a property file, or a package of such files, with the ids of a vendor where there are
   * any: as a file or as a text field {@code dictionary}.
   */
  @PostMapping(value = "/properties", consumes = MediaType.MULTIPART_FORM_DATA_VALUE)
  ExplainedItems properties(
      @RequestParam("file") MultipartFile file, MultipartHttpServletRequest request)
      throws IOException, InterruptedException {
    Path copy = Files.createTempFile("properties", "");
    turns.acquire();
    try {
      file.transferTo(copy);
      PropertyDictionary dictionary = dictionary(request);
      return ZipOfFiles.is(copy) ? packed(copy, dictionary) : single(copy, dictionary);
    } catch (UnreadableFileException unreadable) {
      return refused(unreadable.getMessage());
    } finally {
      turns.release();
      Files.deleteIfExists(copy);
    }
  }

  private static ExplainedItems refused(String reason) {
    return new ExplainedItems(
        false, reason, null, null, null, List.of(), List.of(), List.of(), List.of(), List.of());
  }

  private static PropertyDictionary dictionary(MultipartHttpServletRequest request)
      throws IOException {
    MultipartFile file = request.getFile("dictionary");
    String text = request.getParameter("dictionary");
    if (file != null && file.getSize() > LARGEST_DICTIONARY
        || text != null && text.length() > LARGEST_DICTIONARY) {
      throw new UnreadableFileException("dictionary: larger than 1 MB");
    }
    if (file != null && !file.isEmpty()) {
      try (InputStream content = file.getInputStream()) {
        return PropertyDictionary.read(content);
      }
    }
    return text == null || text.isBlank()
        ? PropertyDictionary.NONE
        : PropertyDictionary.read(new ByteArrayInputStream(text.getBytes(StandardCharsets.UTF_8)));
  }

  private static ExplainedItems single(Path file, PropertyDictionary dictionary)
      throws IOException {
    if (Files.size(file) > LARGEST) {
      return refused("line 1: the file is larger than 8 MB");
    }
    ExchangedItems read = ExchangedItems.read(Files.readAllBytes(file), dictionary);
    return new ExplainedItems(
        true,
        null,
        read.vendor().isEmpty() ? null : read.vendor(),
        null,
        null,
        read.items().stream().map(item -> view(item, List.of())).toList(),
        List.of(),
        List.of(),
        read.faults().stream()
            .map(fault -> new PackageFaultView(null, fault.line(), fault.kind(), fault.message()))
            .toList(),
        read.items().stream().flatMap(item -> asked(item).stream()).toList());
  }

  private static ExplainedItems packed(Path zip, PropertyDictionary dictionary) throws IOException {
    if (Files.size(zip) > LARGEST_PACKAGE) {
      return refused("the package is larger than 256 MB; bring it in as a delivery");
    }
    try (UnpackedFiles files = UnpackedFiles.of(zip)) {
      VendorPackage read = VendorPackage.read(files, dictionary);
      return new ExplainedItems(
          true,
          null,
          read.vendor().isEmpty() ? null : read.vendor(),
          read.release().isEmpty() ? null : read.release(),
          read.manifest().isEmpty() ? null : read.manifest(),
          read.items().stream().map(packed -> view(packed.item(), packed.files())).toList(),
          read.pictures().entrySet().stream().map(PropertiesController::view).toList(),
          read.documents(),
          read.faults().stream()
              .map(fault ->
                  new PackageFaultView(
                      fault.file(),
                      fault.line() == 0 ? null : fault.line(),
                      fault.kind(),
                      fault.message()))
              .toList(),
          read.items().stream().flatMap(packed -> asked(packed.item()).stream()).toList());
    }
  }

  private static PackagePictureView view(Map.Entry<String, PictureSize> picture) {
    return new PackagePictureView(
        picture.getKey(), picture.getValue().width(), picture.getValue().height());
  }

  private static List<AskedValueView> asked(ExchangedItem item) {
    List<AskedValueView> asked = new ArrayList<>();
    item.doubtful()
        .forEach((symbol, about) -> asked.add(new AskedValueView(item.id(), symbol, about)));
    return asked;
  }

  private static ExchangedItemView view(ExchangedItem item, List<String> files) {
    return new ExchangedItemView(
        item.id(),
        item.kind() == ItemKind.STACK ? "assembly" : item.kind().word(),
        item.classId().orElse(null),
        item.classRow().orElse(null),
        item.name(),
        item.names(),
        item.values(),
        item.texts(),
        new TreeMap<>(item.ranges()),
        new ItemSidesView(
            item.machineSide().isEmpty() ? null : item.machineSide(),
            item.workSide().isEmpty() ? null : item.workSide()),
        item.parts().stream()
            .map(part -> new ExchangedPartView(part.id(), part.position().orElse(null)))
            .toList(),
        item.models(),
        List.copyOf(item.kept().keySet()),
        files,
        item.line());
  }
}
