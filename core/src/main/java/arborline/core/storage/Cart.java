package arborline.core.storage;

/** A cart or crib beside the machine: tools stand there, nothing reaches them by itself. */
public record Cart(StorageDefinition definition) implements Storage {

  @Override
  public Spacing spacing() {
    return Spacing.apart(definition);
  }

  @Override
  public Layout layout(double room) {
    return Rows.one(definition, room);
  }
}
