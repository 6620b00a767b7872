package arborline.core.exchange;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.ServiceLoader;

/** The formats that ship with the product. */
public final class ToolFormats {

  private static final List<ToolFormat> ALL = load();

  private ToolFormats() {}

  public static List<ToolFormat> all() {
    return ALL;
  }

  public static Optional<ToolFormat> named(String id) {
    return ALL.stream().filter(format -> format.id().equals(id)).findFirst();
  }

  /** The format that a file's head looks like; a text table where nothing else answers. */
  public static ToolFormat recognise(byte[] head) {
    return ALL.stream()
        .filter(format -> !format.id().equals("csv"))
        .filter(format -> format.recognises(head))
        .findFirst()
        .or(() -> named("csv"))
        .orElseThrow();
  }

  private static List<ToolFormat> load() {
    List<ToolFormat> formats = new ArrayList<>();
    ServiceLoader.load(ToolFormat.class, ToolFormat.class.getClassLoader()).forEach(formats::add);
    return List.copyOf(formats);
  }
}
