package arborline.core.storage;

import arborline.core.storage.Layout.Stroke;
import java.math.BigDecimal;
import java.util.List;
import java.util.Optional;

/** A turret seen from the front of the machine. */
public record Turret(StorageDefinition definition) implements Storage {

  private static final double EDGE = 10;

  @Override
  public Spacing spacing() {
    return Spacing.circle(definition);
  }

  /** What it is beside its places; that of a plain one of its pitch where nothing is said. */
  public TurretBody body() {
    return definition.turret() == null
        ? new TurretBody(
            BigDecimal.valueOf(Math.round(Circles.radius(definition))),
            null,
            false,
            false,
            List.of("main"),
            List.of())
        : definition.turret();
  }

  /** The station of a place by its index. */
  public Station station(int index) {
    return body().station(definition.first() + index);
  }

  /**
   * Radius that a tool needs when the turret turns, mm: how far its corners reach outwards, or to
   * the side where stations face along the spindle.
   */
  public BigDecimal swung(ToolBody tool) {
    BigDecimal half = tool.diameter().divide(BigDecimal.TWO);
    List<ToolCorner> corners =
        tool.corners().isEmpty() ? List.of(new ToolCorner(tool.length(), half)) : tool.corners();
    return corners.stream().map(this::swung).reduce(BigDecimal.ZERO, BigDecimal::max);
  }

  private BigDecimal swung(ToolCorner corner) {
    BigDecimal radius = body().radius();
    return body().axial()
        ? radius.add(corner.beside())
        : Swing.corner(radius.add(corner.along()), corner.beside());
  }

  @Override
  public Layout layout(double room) {
    TurretBody body = body();
    double radius = body.radius().doubleValue();
    Optional<BigDecimal> swing = Optional.ofNullable(body.swing());
    double outside =
        swing
            .map(BigDecimal::doubleValue)
            .orElse(radius + (body.axial() ? Layout.USUAL_PITCH / 2 : room));
    double middle = Math.max(outside, radius) + EDGE;
    return Circles.around(
        definition,
        radius,
        middle,
        body.axial(),
        index -> station(index).driven(),
        swing
            .map(circle -> List.of(Stroke.circle("swing", middle, middle, circle.doubleValue())))
            .orElse(List.of()));
  }
}
