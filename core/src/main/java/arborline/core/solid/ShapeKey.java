package arborline.core.solid;

import arborline.core.solid.shape.Vector3;
import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.Arrays;
import java.util.HexFormat;
import java.util.List;

/**
 * What solids of one shape have in common whatever their size: the order of their cylinders, cones
 * and arcs, where these get wider, their angles to 5 degrees, flats and bores; of what is not
 * turned the proportions of its box.
 */
public final class ShapeKey {

  private static final int ANGLE = 5;
  private static final double LEVEL = 1e-3;

  private ShapeKey() {}

  /** 64 hexadecimal digits. */
  public static String of(SolidReading reading) {
    return digest(reading.turned().map(ShapeKey::turned).orElseGet(() -> box(reading)));
  }

  private static String turned(TurnedShape shape) {
    StringBuilder key = new StringBuilder();
    List<Span> spans = Span.of(shape.profile());
    double before = 0;
    for (Span span : spans) {
      key.append(step(before, span.r0()));
      if (!span.straight()) {
        key.append('A');
      } else if (span.cylinder()) {
        key.append('C');
      } else {
        key.append(span.angle() > 0 ? 'W' : 'N').append(Math.round(span.angle() / ANGLE));
      }
      before = span.r1();
    }
    key.append(shape.bore().isPresent() ? " hollow" : "");
    key.append(shape.boreMachineEnd().isPresent() ? " open" : "");
    shape.flats().forEach(flats -> key.append(" f").append(flats.count()));
    return key.toString();
  }

  private static String step(double before, double now) {
    return Math.abs(now - before) < LEVEL ? "-" : now > before ? "<" : ">";
  }

  private static String box(SolidReading reading) {
    Vector3 size = reading.ownBox().orElse(Vector3.ZERO);
    double[] sides = {size.x(), size.y(), size.z()};
    Arrays.sort(sides);
    double most = Math.max(sides[2], LEVEL);
    return "box %d %d %d"
        .formatted(
            reading.bodies(), Math.round(4 * sides[0] / most), Math.round(4 * sides[1] / most));
  }

  private static String digest(String text) {
    try {
      byte[] hash =
          MessageDigest.getInstance("SHA-256").digest(text.getBytes(StandardCharsets.UTF_8));
      return HexFormat.of().formatHex(hash);
    } catch (NoSuchAlgorithmException impossible) {
      throw new IllegalStateException(impossible);
    }
  }
}
