package arborline.core.storage;

/** Something that holds tools: its neighbours, and how it is laid out. */
public sealed interface Storage
    permits Chain, Carousel, Rack, Turret, ToolSpindle, Aggregates, Cart {

  StorageDefinition definition();

  /** Which places are beside each other, and how far apart. */
  Spacing spacing();

  /**
   * Where its places are in the drawing, and how the tools in them stand.
   *
   * @param room for the longest tool that is drawn, mm
   */
  Layout layout(double room);

  static Storage of(StorageDefinition definition) {
    return definition.form().of(definition);
  }
}
