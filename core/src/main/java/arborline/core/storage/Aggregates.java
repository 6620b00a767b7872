package arborline.core.storage;

/** Aggregates fixed to the machine: each is a place of its own, without neighbours. */
public record Aggregates(StorageDefinition definition) implements Storage {

  @Override
  public Spacing spacing() {
    return Spacing.apart(definition);
  }

  @Override
  public Layout layout(double room) {
    return Rows.one(definition, room);
  }
}
