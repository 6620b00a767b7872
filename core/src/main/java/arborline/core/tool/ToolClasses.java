package arborline.core.tool;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.ServiceLoader;

/** The tool classes that ship with the product. */
public final class ToolClasses {

  private static final List<ToolClass> ALL = load();
  private static final Map<String, ToolClass> BY_NAME = byName();

  private ToolClasses() {}

  /** All classes, by process and title. */
  public static List<ToolClass> all() {
    return ALL;
  }

  /** Finds a class by id, title or alias, in any letter case. */
  public static Optional<ToolClass> named(String name) {
    ToolClass exact = BY_NAME.get(name);
    return exact != null ? Optional.of(exact) : Optional.ofNullable(BY_NAME.get(key(name)));
  }

  private static List<ToolClass> load() {
    List<ToolClass> classes = new ArrayList<>();
    ServiceLoader.load(ToolClass.class, ToolClass.class.getClassLoader()).forEach(classes::add);
    classes.sort(
        Comparator.comparing((ToolClass known) -> known.sheet().process())
            .thenComparing(known -> known.sheet().title(), String.CASE_INSENSITIVE_ORDER));
    return List.copyOf(classes);
  }

  private static Map<String, ToolClass> byName() {
    Map<String, ToolClass> names = new HashMap<>();
    for (ToolClass toolClass : ALL) {
      names.put(toolClass.sheet().id(), toolClass);
      names.put(key(toolClass.sheet().id()), toolClass);
      names.put(key(toolClass.sheet().title()), toolClass);
      toolClass.sheet().aliases().forEach(alias -> names.put(key(alias), toolClass));
    }
    return Map.copyOf(names);
  }

  private static String key(String name) {
    return name.strip().toLowerCase(Locale.ROOT).replaceAll("[\\s,_/-]+", " ");
  }
}
