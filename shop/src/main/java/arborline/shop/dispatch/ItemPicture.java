package arborline.shop.dispatch;

import arborline.core.tool.outline.Point;
import java.awt.BasicStroke;
import java.awt.Color;
import java.awt.GradientPaint;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.geom.Path2D;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.util.List;
import javax.imageio.ImageIO;

/** A picture of an item as a catalogue prints it: the turned profile, or the plan of an insert. */
final class ItemPicture {

  private static final int WIDTH = 480;
  private static final int HEIGHT = 200;
  private static final int MARGIN = 24;

  private ItemPicture() {}

  static byte[] of(CatalogueItem item) throws IOException {
    BufferedImage image = new BufferedImage(WIDTH, HEIGHT, BufferedImage.TYPE_INT_RGB);
    Graphics2D paper = image.createGraphics();
    paper.setRenderingHint(RenderingHints.KEY_ANTIALIASING, RenderingHints.VALUE_ANTIALIAS_ON);
    paper.setColor(Color.WHITE);
    paper.fillRect(0, 0, WIDTH, HEIGHT);
    Path2D shape = shape(item);
    paper.setPaint(
        new GradientPaint(0, MARGIN, new Color(0xC9D1D6), 0, HEIGHT - MARGIN, new Color(0x5E6B73)));
    paper.fill(shape);
    paper.setColor(new Color(0x2B343A));
    paper.setStroke(new BasicStroke(1.5f));
    paper.draw(shape);
    paper.dispose();
    ByteArrayOutputStream bytes = new ByteArrayOutputStream();
    ImageIO.write(image, "png", bytes);
    return bytes.toByteArray();
  }

  private static Path2D shape(CatalogueItem item) {
    List<Point> half = ItemProfile.of(item, 0);
    return half.isEmpty() ? plan(item) : turned(half);
  }

  private static Path2D turned(List<Point> half) {
    double from = half.getFirst().z();
    double length = half.getLast().z() - from;
    double widest = half.stream().mapToDouble(Point::r).max().orElse(1);
    double scale = Math.min((WIDTH - 2.0 * MARGIN) / length, (HEIGHT / 2.0 - MARGIN) / widest);
    double left = (WIDTH - length * scale) / 2;
    Path2D shape = new Path2D.Double();
    shape.moveTo(left, HEIGHT / 2.0);
    half.forEach(
        point -> shape.lineTo(left + (point.z() - from) * scale, HEIGHT / 2.0 - point.r() * scale));
    half.reversed()
        .forEach(point ->
            shape.lineTo(left + (point.z() - from) * scale, HEIGHT / 2.0 + point.r() * scale));
    shape.closePath();
    return shape;
  }

  /** A rhombus by its corner angle; a shank with its head for a turning holder. */
  private static Path2D plan(CatalogueItem item) {
    Path2D shape = new Path2D.Double();
    double middle = WIDTH / 2.0;
    double centre = HEIGHT / 2.0;
    if (item.sizes().containsKey("EPSR")) {
      double half = Math.toRadians(item.length("EPSR")) / 2;
      double side = 86;
      shape.moveTo(middle - side * Math.cos(half) * 0.9, centre);
      shape.lineTo(middle, centre - side * Math.sin(half) * 0.9);
      shape.lineTo(middle + side * Math.cos(half) * 0.9, centre);
      shape.lineTo(middle, centre + side * Math.sin(half) * 0.9);
    } else {
      shape.moveTo(MARGIN, centre - 30);
      shape.lineTo(WIDTH - 110, centre - 30);
      shape.lineTo(WIDTH - MARGIN, centre - 58);
      shape.lineTo(WIDTH - MARGIN - 14, centre + 12);
      shape.lineTo(WIDTH - 96, centre + 30);
      shape.lineTo(MARGIN, centre + 30);
    }
    shape.closePath();
    return shape;
  }
}
