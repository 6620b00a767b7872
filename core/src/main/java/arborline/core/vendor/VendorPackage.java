package arborline.core.vendor;

import arborline.core.exchange.UnreadableFileException;
import arborline.core.part21.ExchangedItem;
import arborline.core.part21.ExchangedItems;
import arborline.core.part21.Part21Fault;
import arborline.core.part21.PropertyDictionary;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.SortedMap;
import java.util.SortedSet;
import java.util.TreeMap;

/**
 * A package of a vendor as it was sent.
 *
 * @param vendor from the manifest, else the organisation that its files name; may be empty
 * @param release from the manifest; empty where none is named
 * @param manifest its file; empty where there is none
 * @param items one for each id; two that contradict each other stand both
 * @param pictures those that are pictures
 * @param documents files that are neither items nor pictures nor models
 */
public record VendorPackage(
    String vendor,
    String release,
    String manifest,
    List<PackedItem> items,
    SortedMap<String, PictureSize> pictures,
    List<String> documents,
    List<Fault> faults) {

  /** An item with the files that it stands in. */
  public record PackedItem(ExchangedItem item, List<String> files) {}

  /**
   * Something that is wrong with a package.
   *
   * @param line within the file; 0 where the file as a whole is meant
   */
  public record Fault(String file, long line, String kind, String message) {}

  private static final String MISSING_FILE = "missing-file";
  private static final String DUPLICATE_ITEM_ID = "duplicate-item-id";
  private static final String NOT_A_PICTURE = "not-a-picture";
  private static final long LARGEST = 64L * 1024 * 1024;
  private static final List<String> PICTURES = List.of("png", "jpg", "jpeg", "gif", "bmp");
  private static final List<String> DESCRIBING = List.of("json", "xml");
  private static final List<String> DOCUMENTS = List.of("pdf", "txt", "html", "htm", "doc", "rtf");

  /**
   * Reads a package.
   *
   * @param given ids that somebody said besides; those of the package come first
   */
  public static VendorPackage read(PackageFiles files, PropertyDictionary given)
      throws IOException {
    return new Builder(files).read(given);
  }

  private static String ending(String name) {
    return name.substring(name.lastIndexOf('.') + 1).toLowerCase(Locale.ROOT);
  }

  private static final class Builder {
    private final PackageFiles files;
    private final List<Fault> faults = new ArrayList<>();
    private final SortedMap<String, List<PackedItem>> items = new TreeMap<>();
    private Optional<Manifest> manifest = Optional.empty();
    private PropertyDictionary dictionary = PropertyDictionary.NONE;
    private String organisation = "";

    Builder(PackageFiles files) {
      this.files = files;
    }

    VendorPackage read(PropertyDictionary given) throws IOException {
      for (String name : files.names()) {
        if (DESCRIBING.contains(ending(name))) {
          describing(name);
        }
      }
      dictionary = dictionary.properties().isEmpty() ? given : dictionary;
      for (String name : files.names()) {
        if (ending(name).equals("p21")) {
          properties(name);
        }
      }
      missing();
      SortedMap<String, PictureSize> pictures = pictures();
      return new VendorPackage(
          manifest.map(Manifest::vendor).filter(name -> !name.isEmpty()).orElse(organisation),
          manifest.map(Manifest::release).orElse(""),
          manifest.map(Manifest::file).orElse(""),
          items.values().stream().flatMap(List::stream).toList(),
          pictures,
          files.names().stream().filter(name -> DOCUMENTS.contains(ending(name))).toList(),
          List.copyOf(faults));
    }

    private Optional<byte[]> content(String name) throws IOException {
      if (files.size(name) > LARGEST) {
        faults.add(new Fault(name, 0, "too-large", "the file is larger than 64 MB"));
        return Optional.empty();
      }
      return Optional.of(files.content(name));
    }

    private void describing(String name) throws IOException {
      Optional<byte[]> content = content(name);
      if (content.isEmpty()) {
        return;
      }
      try {
        Described found = Described.read(name, content.get());
        dictionary = found.dictionary().orElse(dictionary);
        manifest = manifest.or(found::manifest);
      } catch (UnreadableFileException broken) {
        faults.add(new Fault(name, 0, "unreadable", broken.getMessage()));
      }
    }

    private void properties(String name) throws IOException {
      Optional<byte[]> content = content(name);
      if (content.isEmpty()) {
        return;
      }
      try {
        ExchangedItems read = ExchangedItems.read(content.get(), dictionary);
        organisation = organisation.isEmpty() ? read.vendor() : organisation;
        for (Part21Fault fault : read.faults()) {
          faults.add(new Fault(name, fault.line(), fault.kind(), fault.message()));
        }
        read.items().forEach(item -> add(item, name));
      } catch (UnreadableFileException broken) {
        faults.add(new Fault(name, 0, "unreadable", broken.getMessage()));
      }
    }

    /** The same item in several files is one; another one under its id is a fault. */
    private void add(ExchangedItem item, String file) {
      List<PackedItem> known = items.computeIfAbsent(item.id(), id -> new ArrayList<>());
      for (int i = 0; i < known.size(); i++) {
        if (same(known.get(i).item(), item)) {
          List<String> both = new ArrayList<>(known.get(i).files());
          both.add(file);
          known.set(i, new PackedItem(fuller(known.get(i).item(), item), both));
          return;
        }
      }
      if (!known.isEmpty()) {
        faults.add(
            new Fault(
                file,
                item.line(),
                DUPLICATE_ITEM_ID,
                "%s stands in %s with other values"
                    .formatted(item.id(), known.getFirst().files().getFirst())));
      }
      known.add(new PackedItem(item, List.of(file)));
    }

    /** True where nothing that both say differs. */
    private static boolean same(ExchangedItem one, ExchangedItem other) {
      return agree(one.values(), other.values()) && agree(one.texts(), other.texts());
    }

    private static <T extends Comparable<? super T>> boolean agree(
        Map<String, T> one, Map<String, T> other) {
      return one.entrySet().stream()
          .filter(value -> other.containsKey(value.getKey()))
          .allMatch(value -> value.getValue().compareTo(other.get(value.getKey())) == 0);
    }

    /** The one that says more. */
    private static ExchangedItem fuller(ExchangedItem one, ExchangedItem other) {
      return other.values().size() + other.texts().size() > one.values().size() + one.texts().size()
          ? other
          : one;
    }

    private void missing() {
      SortedSet<String> names = files.names();
      manifest.stream()
          .flatMap(known -> known.missing(names).stream())
          .forEach(file ->
              faults.add(
                  new Fault(file, 0, MISSING_FILE, "the manifest names it, and it is not there")));
    }

    private SortedMap<String, PictureSize> pictures() throws IOException {
      SortedMap<String, PictureSize> pictures = new TreeMap<>();
      List<String> called = manifest.map(Manifest::pictures).orElse(List.of());
      for (String name : files.names()) {
        if (PICTURES.contains(ending(name)) || called.contains(name)) {
          Optional<PictureSize> size = content(name).flatMap(PictureSize::of);
          size.ifPresent(found -> pictures.put(name, found));
          if (size.isEmpty()) {
            faults.add(
                new Fault(
                    name, 0, NOT_A_PICTURE, "it is called a picture, and is none or cut off"));
          }
        }
      }
      return pictures;
    }
  }
}
