package arborline.core.storage;

/** A chain of pockets. */
public record Chain(StorageDefinition definition) implements Storage {

  private static final int SHORT = 12;

  @Override
  public Spacing spacing() {
    return Spacing.row(definition);
  }

  /** Out and back where it is closed and long, in one row else. */
  @Override
  public Layout layout(double room) {
    return definition.closed() && definition.places() > SHORT
        ? Rows.loop(definition, room)
        : Rows.one(definition, room);
  }
}
