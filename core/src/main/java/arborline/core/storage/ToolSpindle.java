package arborline.core.storage;

/** The spindle that holds the tool in use. */
public record ToolSpindle(StorageDefinition definition) implements Storage {

  @Override
  public Spacing spacing() {
    return Spacing.apart(definition);
  }

  @Override
  public Layout layout(double room) {
    return Rows.one(definition, room);
  }
}
