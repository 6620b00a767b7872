package arborline.core.exchange;

import arborline.core.stack.Component;
import arborline.core.tool.ToolClass;
import arborline.core.tool.ToolClasses;
import java.util.Locale;
import java.util.Optional;

/** What one item of a file is. */
public enum ItemKind {
  CUTTER,
  INSERT,
  HOLDER,
  EXTENSION,
  COLLET,
  ARBOR,
  AGGREGATE,
  /** Parts joined to hold a cutter; belongs to that cutter. */
  STACK,
  /** One line of cutting data; belongs to its tool. */
  CUTTING,
  /** A line of a file that is no item: a title, a total, a comment. */
  REMARK;

  /** The word in files: {@code cutter}, {@code holder}. */
  public String word() {
    return name().toLowerCase(Locale.ROOT);
  }

  /** Finds a kind by its word. */
  public static Optional<ItemKind> named(String word) {
    for (ItemKind kind : values()) {
      if (kind.word().equals(word.strip().toLowerCase(Locale.ROOT))) {
        return Optional.of(kind);
      }
    }
    return Optional.empty();
  }

  /** The kind of a tool of a class: an insert, else a cutter. */
  public static ItemKind ofClass(String toolClass) {
    return ToolClasses.named(toolClass)
        .filter(ToolClass::cuttingItem)
        .map(known -> INSERT)
        .orElse(CUTTER);
  }

  public static ItemKind of(Component.Kind kind) {
    return valueOf(kind.name());
  }

  /** The kind of a part of stacks; nothing for a tool and for what belongs to one. */
  public Optional<Component.Kind> component() {
    return switch (this) {
      case HOLDER, EXTENSION, COLLET, ARBOR, AGGREGATE ->
          Optional.of(Component.Kind.valueOf(name()));
      case CUTTER, INSERT, STACK, CUTTING, REMARK -> Optional.empty();
    };
  }

  /** True for what stands in a shop by itself, under a code of its own. */
  public boolean standsAlone() {
    return this != STACK && this != CUTTING;
  }
}
