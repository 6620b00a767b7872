package arborline.core.storage;

import java.util.List;

/** A disc with pockets around it, tools pointing outwards. */
public record Carousel(StorageDefinition definition) implements Storage {

  @Override
  public Spacing spacing() {
    return Spacing.circle(definition);
  }

  @Override
  public Layout layout(double room) {
    double radius = Circles.radius(definition);
    return Circles.around(definition, radius, radius + room, false, index -> false, List.of());
  }
}
