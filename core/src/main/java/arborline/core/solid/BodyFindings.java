package arborline.core.solid;

import arborline.core.solid.shape.Axis;
import arborline.core.solid.shape.Closeness;
import arborline.core.solid.shape.Plane;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;

/** What should be known about the bodies of a turned part. */
final class BodyFindings {

  private static final int MOST = 20;
  private static final double WITHIN = 0.01;

  private BodyFindings() {}

  static List<SolidFinding> of(List<Body> bodies, TurnedShape shape) {
    List<SolidFinding> findings = new ArrayList<>();
    if (!shape.endIsClear()) {
      findings.add(
          new SolidFinding(
              0,
              "which-end",
              "which end is the workpiece's is a guess: turn it around if it is wrong"));
    }
    if (shape.length() < 1e-6 || shape.diameter() < 1e-6) {
      findings.add(new SolidFinding(0, "no-size", "the body has no size"));
    }
    if (free(bodies, shape) > Generators.MOST_RIDGED) {
      findings.add(
          new SolidFinding(
              0,
              "many-free-faces",
              "of more than %d free faces only the edges are looked at: the contour may be too slim"
                  .formatted(Generators.MOST_RIDGED)));
    }
    for (Flats flats : shape.flats()) {
      findings.add(flats(flats));
    }
    if (bodies.size() > 1) {
      findings.add(
          new SolidFinding(
              0,
              "several-bodies",
              "the file holds %d bodies; the contour is that of all together"
                  .formatted(bodies.size())));
      within(bodies, shape, findings);
    }
    return findings;
  }

  /** How many faces are neither flat nor turned around the axis. */
  private static long free(List<Body> bodies, TurnedShape shape) {
    Axis axis = new Axis(shape.axis().point(), shape.axis().direction());
    return bodies.stream()
        .mapToLong(body -> {
          Axis local = Generators.local(body, axis);
          return body.faces().stream()
              .filter(face -> !(face.surface() instanceof Plane))
              .filter(face -> face.surface().meridian(local, Closeness.AXES).isEmpty())
              .count();
        })
        .sum();
  }

  private static SolidFinding flats(Flats flats) {
    String across = number(2 * flats.distance());
    String what =
        switch (flats.count()) {
          case 1 -> "a flat %s mm from the axis".formatted(number(flats.distance()));
          case 2 -> "two flats, %s mm across".formatted(across);
          case 4 -> "a square, %s mm across flats".formatted(across);
          case 6 -> "a hexagon, %s mm across flats".formatted(across);
          default ->
              "%d flats %s mm from the axis".formatted(flats.count(), number(flats.distance()));
        };
    return new SolidFinding(
        0,
        "flats",
        "%s, from %s to %s mm".formatted(what, number(flats.from()), number(flats.to())));
  }

  private static String number(double value) {
    return String.format(Locale.ROOT, "%.3f", value).replaceFirst("\\.?0+$", "");
  }

  /** Bodies that lie within others, such as a tube for coolant. */
  private static void within(List<Body> bodies, TurnedShape shape, List<SolidFinding> findings) {
    Axis axis = new Axis(shape.axis().point(), shape.axis().direction());
    Reach whole = new Reach(Contour.of(bodies, axis).outer());
    for (Body body : bodies.subList(0, Math.min(MOST, bodies.size()))) {
      Contour own = Contour.of(List.of(body), axis);
      boolean hidden =
          !own.outer().isEmpty()
              && own.outer().stream().allMatch(part -> hidden(part.piece(), whole));
      if (hidden) {
        findings.add(
            new SolidFinding(
                0,
                "body-within",
                "a body of %s x %s mm lies within another one, as a tube for coolant does"
                    .formatted(number(own.diameter()), number(own.length()))));
      }
    }
  }

  private static boolean hidden(ContourPiece piece, Reach whole) {
    double middle = (piece.from() + piece.to()) / 2;
    return piece.r(middle) < whole.at(middle, 0) - WITHIN;
  }
}
