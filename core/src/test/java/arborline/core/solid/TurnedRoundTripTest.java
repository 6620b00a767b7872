package arborline.core.solid;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import arborline.core.solid.ProfileElement.Corner;
import arborline.core.stack.StepSolid;
import arborline.core.tool.outline.Point;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Random;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Parts of steps and cones, made by chance, are read as they were written, however they lie. */
class TurnedRoundTripTest {

  private static final double NEAR = 0.001;
  private static final String NUMBER = "(-?[\\d.]+(?:E[-+]?\\d+)?)";
  private static final Pattern COORDINATES =
      Pattern.compile("(CARTESIAN_POINT|DIRECTION)\\('',\\(%1$s,%1$s,%1$s\\)\\)".formatted(NUMBER));
  private static final Pattern RADII =
      Pattern.compile("(CIRCLE|CYLINDRICAL_SURFACE)\\('',(#\\d+),%s\\)".formatted(NUMBER));
  private static final Pattern CONES =
      Pattern.compile("(CONICAL_SURFACE)\\('',(#\\d+),%1$s,%1$s\\)".formatted(NUMBER));

  /** Steps and cones from z = 0 on; neighbours differ in diameter or in slope. */
  private static List<Point> half(Random chance) {
    List<Point> half = new ArrayList<>();
    double z = 0;
    double r = 2 + chance.nextInt(80) / 8.0;
    half.add(new Point(z, r));
    for (int i = 1 + chance.nextInt(12); i > 0; i--) {
      z += 1 + chance.nextInt(160) / 8.0;
      boolean cone = chance.nextInt(3) == 0;
      double next = cone ? other(r, chance) : r;
      half.add(new Point(z, next));
      r = cone ? next : other(r, chance);
      if (!cone && i > 1) {
        half.add(new Point(z, r));
      }
    }
    if (half.getLast().r() != r) {
      half.add(new Point(z + 5, half.getLast().r()));
    }
    return half;
  }

  private static double other(double r, Random chance) {
    double next = 2 + chance.nextInt(80) / 8.0;
    return next == r ? r + 1 : next;
  }

  private static String written(List<Point> half) throws IOException {
    StringBuilder file = new StringBuilder();
    StepSolid.write(file, "part", half, Instant.EPOCH);
    return file.toString();
  }

  private static SolidReading read(String file) throws IOException {
    return SolidReading.read(file.getBytes(StandardCharsets.US_ASCII));
  }

  /** Whether it is read from this end or from the other is not the question here. */
  private static void assertReadAs(List<Point> half, SolidReading read) {
    TurnedShape shape = read.turned().orElseThrow();
    double length = half.getLast().z();
    double widest = half.stream().mapToDouble(Point::r).max().orElseThrow();
    assertEquals(length, shape.length(), NEAR);
    assertEquals(2 * widest, shape.diameter(), NEAR);
    double off =
        Math.min(
            apart(wanted(half, false), shape.profile()),
            apart(wanted(half, true), shape.profile()));
    assertTrue(off < NEAR, () -> "wrote " + half + "\nread " + shape.profile());
  }

  private static double apart(List<ProfileElement> wanted, List<ProfileElement> read) {
    return Math.max(
        ContourDistance.of(wanted, ContourDistance.points(read)),
        ContourDistance.of(read, ContourDistance.points(wanted.subList(1, wanted.size() - 1))));
  }

  private static List<ProfileElement> wanted(List<Point> half, boolean turned) {
    double length = half.getLast().z();
    List<ProfileElement> wanted = new ArrayList<>();
    wanted.add(new Corner(0, 0));
    for (Point point : turned ? half.reversed() : half) {
      wanted.add(new Corner(turned ? length - point.z() : point.z(), point.r()));
    }
    wanted.add(new Corner(length, 0));
    return wanted;
  }

  @ParameterizedTest
  @ValueSource(ints = {1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12})
  void asItWasWritten(int seed) throws IOException {
    List<Point> half = half(new Random(seed));
    SolidReading read = read(written(half));
    assertEquals(1, read.bodies());
    assertReadAs(half, read);
  }

  @ParameterizedTest
  @ValueSource(ints = {21, 22, 23, 24, 25, 26, 27, 28, 29, 30, 31, 32})
  void lyingAnywhere(int seed) throws IOException {
    Random chance = new Random(seed);
    List<Point> half = half(chance);
    Turn turn = Turn.by(chance);
    String moved =
        COORDINATES
            .matcher(written(half))
            .replaceAll(found -> {
              double[] at = new double[3];
              for (int i = 0; i < 3; i++) {
                at[i] = Double.parseDouble(found.group(i + 2));
              }
              double[] to = turn.of(at, found.group(1).equals("CARTESIAN_POINT"));
              return Matcher.quoteReplacement(
                  "%s('',(%s,%s,%s))"
                      .formatted(found.group(1), real(to[0]), real(to[1]), real(to[2])));
            });
    assertReadAs(half, read(moved));
  }

  @ParameterizedTest
  @ValueSource(ints = {41, 42, 43, 44, 45, 46})
  void inMetres(int seed) throws IOException {
    List<Point> half = half(new Random(seed));
    String file = written(half);
    assertTrue(file.contains("SI_UNIT(.MILLI.,.METRE.)"), file);
    String metres = scaled(file.replace("SI_UNIT(.MILLI.,.METRE.)", "SI_UNIT($,.METRE.)"), 0.001);
    assertReadAs(half, read(metres));
  }

  /** All lengths of a file times a factor. */
  private static String scaled(String file, double factor) {
    String points =
        COORDINATES
            .matcher(file)
            .replaceAll(found ->
                Matcher.quoteReplacement(
                    found.group(1).equals("DIRECTION")
                        ? found.group()
                        : "CARTESIAN_POINT('',(%s,%s,%s))"
                            .formatted(
                                times(found.group(2), factor),
                                times(found.group(3), factor),
                                times(found.group(4), factor))));
    String radii =
        RADII
            .matcher(points)
            .replaceAll(found ->
                "%s('',%s,%s)"
                    .formatted(found.group(1), found.group(2), times(found.group(3), factor)));
    return CONES
        .matcher(radii)
        .replaceAll(found ->
            "%s('',%s,%s,%s)"
                .formatted(
                    found.group(1), found.group(2), times(found.group(3), factor), found.group(4)));
  }

  private static String times(String number, double factor) {
    return real(Double.parseDouble(number) * factor);
  }

  private static String real(double number) {
    return String.format(Locale.ROOT, "%.15E", number);
  }

  /** A turn around an axis through the origin, by Rodrigues' formula, and a way behind it. */
  private record Turn(double[] axis, double angle, double[] way) {

    static Turn by(Random chance) {
      double[] axis = {chance.nextGaussian(), chance.nextGaussian(), chance.nextGaussian()};
      double length = Math.sqrt(dot(axis, axis));
      for (int i = 0; i < 3; i++) {
        axis[i] /= length;
      }
      double[] way = {
        chance.nextGaussian() * 100, chance.nextGaussian() * 100, chance.nextGaussian() * 100
      };
      return new Turn(axis, chance.nextDouble() * 2 * Math.PI, way);
    }

    double[] of(double[] at, boolean point) {
      double[] across = {
        axis[1] * at[2] - axis[2] * at[1],
        axis[2] * at[0] - axis[0] * at[2],
        axis[0] * at[1] - axis[1] * at[0]
      };
      double along = dot(axis, at) * (1 - Math.cos(angle));
      double[] to = new double[3];
      for (int i = 0; i < 3; i++) {
        to[i] =
            at[i] * Math.cos(angle)
                + across[i] * Math.sin(angle)
                + axis[i] * along
                + (point ? way[i] : 0);
      }
      return to;
    }

    private static double dot(double[] one, double[] other) {
      return one[0] * other[0] + one[1] * other[1] + one[2] * other[2];
    }
  }
}
