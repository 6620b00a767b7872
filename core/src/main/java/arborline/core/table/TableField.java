package arborline.core.table;

import java.util.Arrays;
import java.util.List;
import java.util.Optional;

/** A field of a tool table, with the owner it has. */
public enum TableField {
  TOOL("tool", Owner.LIBRARY, Form.WORD),
  SISTER("sister number", Owner.LIBRARY, Form.COUNT),
  /** Which real piece it is; no control shows it. */
  PHYSICAL("physical tool", Owner.LIBRARY, Form.WORD),
  NUMBER("number", Owner.LIBRARY, Form.COUNT),
  OFFSET("offset number", Owner.LIBRARY, Form.COUNT),
  NAME("name", Owner.LIBRARY, Form.WORD),
  LENGTH("length", Owner.MEASUREMENT, Form.SIZE),
  DIAMETER("diameter", Owner.MEASUREMENT, Form.SIZE),
  X("X", Owner.MEASUREMENT, Form.SIZE),
  Z("Z", Owner.MEASUREMENT, Form.SIZE),
  NOSE_RADIUS("nose radius", Owner.MEASUREMENT, Form.SIZE),
  ORIENTATION("tip orientation", Owner.LIBRARY, Form.COUNT),
  LENGTH_WEAR("length wear", Owner.CONTROL, Form.WEAR),
  DIAMETER_WEAR("diameter wear", Owner.CONTROL, Form.WEAR),
  X_WEAR("wear in X", Owner.CONTROL, Form.WEAR),
  Z_WEAR("wear in Z", Owner.CONTROL, Form.WEAR),
  NOSE_RADIUS_WEAR("wear of the nose radius", Owner.CONTROL, Form.WEAR);

  /** How a field is written. */
  enum Form {
    WORD,
    COUNT,
    SIZE,
    WEAR
  }

  /** What was measured of a tool. */
  public static final List<TableField> SIZES = of(Form.SIZE);

  /** What the control adds while it cuts. */
  public static final List<TableField> WEAR = of(Form.WEAR);

  private final String title;
  private final Owner owner;
  private final Form form;

  TableField(String title, Owner owner, Form form) {
    this.title = title;
    this.owner = owner;
    this.form = form;
  }

  public String title() {
    return title;
  }

  public Owner owner() {
    return owner;
  }

  Form form() {
    return form;
  }

  /** The wear of a size; none for what is no size. */
  public Optional<TableField> wear() {
    return switch (this) {
      case LENGTH -> Optional.of(LENGTH_WEAR);
      case DIAMETER -> Optional.of(DIAMETER_WEAR);
      case X -> Optional.of(X_WEAR);
      case Z -> Optional.of(Z_WEAR);
      case NOSE_RADIUS -> Optional.of(NOSE_RADIUS_WEAR);
      default -> Optional.empty();
    };
  }

  private static List<TableField> of(Form form) {
    return Arrays.stream(values()).filter(field -> field.form == form).toList();
  }
}
