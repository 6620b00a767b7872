package arborline.core.exchange;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.ServiceLoader;

/** The formats and readers that ship with the product. */
public final class BundleFormats {

  private static final List<BundleFormat> ALL = load(BundleFormat.class);
  private static final List<ItemReader> READERS = readers();

  private BundleFormats() {}

  /** The formats that files can be written in. */
  public static List<BundleFormat> all() {
    return ALL;
  }

  public static Optional<BundleFormat> named(String id) {
    return ALL.stream().filter(format -> format.id().equals(id)).findFirst();
  }

  /** The reader of a kind of files. */
  public static Optional<ItemReader> reader(String id) {
    return READERS.stream().filter(reader -> reader.id().equals(id)).findFirst();
  }

  /** The reader that a file's head looks like; our own text table where nothing else answers. */
  public static ItemReader recognise(byte[] head) {
    return READERS.stream()
        .filter(reader -> !reader.id().equals("csv"))
        .filter(reader -> reader.recognises(head))
        .findFirst()
        .or(() -> reader("csv"))
        .orElseThrow();
  }

  private static List<ItemReader> readers() {
    List<ItemReader> readers = new ArrayList<>(ALL);
    readers.addAll(load(ItemReader.class));
    return List.copyOf(readers);
  }

  private static <T> List<T> load(Class<T> kind) {
    List<T> found = new ArrayList<>();
    ServiceLoader.load(kind, kind.getClassLoader()).forEach(found::add);
    return List.copyOf(found);
  }
}
