package arborline.core.solid;

import arborline.core.exchange.UnreadableFileException;
import arborline.core.solid.shape.Vector3;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * What a solid is: around which axis it is turned and what its contour is, or how large it is where
 * it is not turned. Lengths in mm, whatever the file is written in.
 *
 * @param turned the axis and contour; nothing where it is not turned around one axis
 * @param axes of which none stands out, where a person must say which it is
 * @param unit of the file: {@code mm}, {@code in}, {@code m}, or how many mm
 * @param bodies that enclose something
 * @param open true where faces enclose nothing
 * @param box along the file's directions
 * @param ownBox along the part's own directions
 * @param parts where there are several bodies each for itself
 */
public record SolidReading(
    Optional<TurnedShape> turned,
    List<SolidAxis> axes,
    String unit,
    String schema,
    int bodies,
    boolean open,
    Optional<Vector3> box,
    Optional<Vector3> ownBox,
    List<SolidProposal> proposals,
    List<SolidPart> parts,
    List<SolidFinding> findings) {

  /** The code of the finding of a part whose ends somebody turned. */
  public static final String TURNED = "turned-around";

  private static final int MOST_PARTS = 20;

  /** Whether one axis stands out can be said from so many. */
  private static final int MOST_TIED = 2;

  /** An axis goes for the part's where so much of the length at least is turned around it. */
  private static final double TURNED_SHARE = 0.25;

  private static final double WIDEST_GAP = Math.toRadians(190);

  /** Two axes are equally good where the second has so much of the first's surface. */
  private static final double AS_GOOD = 0.9;

  /**
   * Reads a file.
   *
   * @throws UnreadableFileException where it is no exchange file
   */
  public static SolidReading read(byte[] file) throws UnreadableFileException {
    return read(file, false);
  }

  /**
   * Reads a file.
   *
   * @param turned true where the ends of the part stand the other way round than they are guessed
   * @throws UnreadableFileException where it is no exchange file
   */
  public static SolidReading read(byte[] file, boolean turned) throws UnreadableFileException {
    return of(SolidFile.read(file), turned);
  }

  static SolidReading of(SolidModel model, boolean otherEnd) {
    List<SolidFinding> findings = new ArrayList<>(model.findings());
    List<Body> bodies = model.bodies();
    AxisSearch search = AxisSearch.of(bodies);
    search.finding().ifPresent(findings::add);
    List<Found> valid = valid(bodies, search);
    boolean tie = valid.size() > 1 && valid.get(1).area() >= AS_GOOD * valid.getFirst().area();
    Optional<TurnedShape> turned =
        valid.isEmpty() || tie
            ? Optional.empty()
            : Optional.of(TurnedShape.of(valid.getFirst().contour(), bodies, otherEnd));
    if (tie) {
      findings.add(
          new SolidFinding(
              0, "which-axis", "two axes are equally good: say which one the tool turns around"));
    } else if (turned.isEmpty() && !bodies.isEmpty()) {
      findings.add(new SolidFinding(0, "not-turned", "the part is not turned around one axis"));
    }
    turned.ifPresent(shape -> findings.addAll(BodyFindings.of(bodies, shape)));
    if (otherEnd && turned.isPresent()) {
      findings.add(
          new SolidFinding(
              0, TURNED, "its ends stand the other way round than guessed, as somebody said"));
    }
    Optional<Extents> box =
        bodies.isEmpty() || turned.isPresent()
            ? Optional.empty()
            : Optional.of(Extents.alongFile(bodies));
    Optional<Extents> own = box.map(file -> Extents.own(bodies));
    return new SolidReading(
        turned,
        tie ? valid.stream().map(Found::axis).toList() : List.of(),
        model.unit(),
        model.schema(),
        (int) bodies.stream().filter(Body::closed).count(),
        bodies.stream().anyMatch(body -> !body.closed()),
        box.map(Extents::size),
        own.map(Extents::size),
        SolidProposals.of(turned, own, bodies),
        bodies.size() > 1
            ? bodies.stream().limit(MOST_PARTS).map(SolidReading::part).toList()
            : List.of(),
        List.copyOf(findings));
  }

  private static SolidPart part(Body body) {
    List<Body> alone = List.of(body);
    List<Found> valid = valid(alone, AxisSearch.of(alone));
    Optional<TurnedShape> turned =
        valid.isEmpty() || tied(valid)
            ? Optional.empty()
            : Optional.of(TurnedShape.of(valid.getFirst().contour(), alone));
    Optional<Extents> box = turned.isPresent() ? Optional.empty() : Optional.of(Extents.own(alone));
    return new SolidPart(body.name(), turned, SolidProposals.of(turned, box, alone));
  }

  private static boolean tied(List<Found> valid) {
    return valid.size() > 1 && valid.get(1).area() >= AS_GOOD * valid.getFirst().area();
  }

  private record Found(Contour contour, double area) {
    SolidAxis axis() {
      return new SolidAxis(
          contour.axis().at(contour.from()), contour.axis().direction(), contour.turnedDiameter());
    }
  }

  /** The best axes, of equally good ones two. */
  private static List<Found> valid(List<Body> bodies, AxisSearch search) {
    List<Found> found = new ArrayList<>();
    for (AxisSearch.Candidate candidate : search.weightiest()) {
      boolean counts = found.isEmpty() || candidate.area() >= AS_GOOD * found.getFirst().area();
      if (!counts || found.size() == MOST_TIED) {
        break;
      }
      Contour slim = Contour.ofEdges(bodies, candidate.axis());
      if (turned(slim)) {
        Contour contour = slim.whole() ? slim : Contour.of(bodies, candidate.axis());
        if (turned(contour)) {
          found.add(new Found(contour, candidate.area()));
        }
      }
    }
    return found;
  }

  private static boolean turned(Contour contour) {
    return contour.turnedShare() >= TURNED_SHARE && contour.widestGap() <= WIDEST_GAP;
  }
}
