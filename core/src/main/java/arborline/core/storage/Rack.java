package arborline.core.storage;

/** A straight row of positions beside the table. */
public record Rack(StorageDefinition definition) implements Storage {

  @Override
  public Spacing spacing() {
    return Spacing.row(definition);
  }

  @Override
  public Layout layout(double room) {
    return Rows.one(definition, room);
  }
}
