package arborline.core.table;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.ServiceLoader;
import java.util.stream.Collectors;

/** The control dialects that ship with the product. */
public final class ControlDialects {

  private ControlDialects() {}

  /** All of them, by their names. */
  public static List<ControlDialect> all() {
    return ServiceLoader.load(ControlDialect.class, ControlDialect.class.getClassLoader()).stream()
        .map(ServiceLoader.Provider::get)
        .sorted(Comparator.comparing(ControlDialect::id))
        .toList();
  }

  /** Their names as people read them. */
  public static String names() {
    return all().stream().map(ControlDialect::id).collect(Collectors.joining(" or "));
  }

  /** True for the name of a dialect, and for that of none. */
  public static boolean known(String id) {
    return id.isEmpty() || find(id).isPresent();
  }

  /** The dialect of that name, where there is one. */
  public static Optional<ControlDialect> find(String id) {
    return all().stream().filter(dialect -> dialect.id().equals(id)).findFirst();
  }

  /**
   * The dialect of that name.
   *
   * @throws IllegalArgumentException where there is none
   */
  public static ControlDialect named(String id) {
    return find(id)
        .orElseThrow(() -> new IllegalArgumentException("no control dialect '" + id + "'"));
  }
}
