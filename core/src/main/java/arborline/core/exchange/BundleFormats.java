package arborline.core.exchange;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.ServiceLoader;

/** The formats that ship with the product. */
public final class BundleFormats {

  private static final List<BundleFormat> ALL = load();

  private BundleFormats() {}

  public static List<BundleFormat> all() {
    return ALL;
  }

  public static Optional<BundleFormat> named(String id) {
    return ALL.stream().filter(format -> format.id().equals(id)).findFirst();
  }

  /** The format that a file's head looks like; a text table where nothing else answers. */
  public static BundleFormat recognise(byte[] head) {
    return ALL.stream()
        .filter(format -> !format.id().equals("csv"))
        .filter(format -> format.recognises(head))
        .findFirst()
        .or(() -> named("csv"))
        .orElseThrow();
  }

  private static List<BundleFormat> load() {
    List<BundleFormat> formats = new ArrayList<>();
    ServiceLoader.load(BundleFormat.class, BundleFormat.class.getClassLoader())
        .forEach(formats::add);
    return List.copyOf(formats);
  }
}
