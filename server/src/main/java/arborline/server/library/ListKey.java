package arborline.server.library;

import arborline.core.library.Standing;
import java.math.BigDecimal;

/** A value of an entry that lists are ordered by, as SQL over {@code entry e}. */
enum ListKey {
  CODE("e.code"),
  NAME("e.name"),
  NUMBER("e.number"),
  DIAMETER("e.dc"),
  CLASS("e.class_id"),
  SECTION("e.section"),
  LIBRARY("l.name", " join library l on l.id = e.library_id"),

  /** The part that the spindle takes of the stack that was kept first. */
  HOLDER("e.holder"),

  /** The materials for which it has cutting data. */
  MATERIAL("e.materials"),

  /** How far it is trusted: the place of a {@link Standing}. */
  STANDING("e.standing");

  private final String expression;
  private final String join;

  ListKey(String expression) {
    this(expression, "");
  }

  ListKey(String expression, String join) {
    this.expression = expression;
    this.join = join;
  }

  String expression() {
    return expression;
  }

  /** What a query needs for {@link #expression}. */
  String join() {
    return join;
  }

  /** True where an index counts entries by it. */
  boolean counted() {
    return switch (this) {
      case DIAMETER, CLASS, SECTION, HOLDER, MATERIAL, STANDING -> true;
      case CODE, NAME, NUMBER, LIBRARY -> false;
    };
  }

  /** What a group of a value stands under. */
  String group(String text) {
    return this == STANDING ? Standing.at(Integer.parseInt(text)).name() : text;
  }

  /** A value as the database compares it. */
  Object value(String text) {
    return switch (this) {
      case NUMBER, STANDING -> Integer.valueOf(text);
      case DIAMETER -> new BigDecimal(text);
      default -> text;
    };
  }
}
