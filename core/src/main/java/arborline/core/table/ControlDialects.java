package arborline.core.table;

import java.util.ServiceLoader;

/** The control dialects that ship with the product. */
public final class ControlDialects {

  private ControlDialects() {}

  /**
   * The dialect of that name.
   *
   * @throws IllegalArgumentException where there is none
   */
  public static ControlDialect named(String id) {
    return ServiceLoader.load(ControlDialect.class, ControlDialect.class.getClassLoader()).stream()
        .map(ServiceLoader.Provider::get)
        .filter(dialect -> dialect.id().equals(id))
        .findFirst()
        .orElseThrow(() -> new IllegalArgumentException("no control dialect '" + id + "'"));
  }
}
