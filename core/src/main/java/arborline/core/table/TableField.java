package arborline.core.table;

/** A field of a tool table, with the owner it has unless a machine says otherwise. */
public enum TableField {
  TOOL("tool", Owner.LIBRARY, false),
  NUMBER("number", Owner.LIBRARY, true),
  NAME("name", Owner.LIBRARY, false),
  LENGTH("length", Owner.MEASUREMENT, true),
  DIAMETER("diameter", Owner.MEASUREMENT, true),
  LENGTH_WEAR("length wear", Owner.CONTROL, true),
  DIAMETER_WEAR("diameter wear", Owner.CONTROL, true);

  private final String title;
  private final Owner owner;
  private final boolean numeric;

  TableField(String title, Owner owner, boolean numeric) {
    this.title = title;
    this.owner = owner;
    this.numeric = numeric;
  }

  public String title() {
    return title;
  }

  public Owner owner() {
    return owner;
  }

  public boolean numeric() {
    return numeric;
  }
}
