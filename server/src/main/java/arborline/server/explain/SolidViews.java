package arborline.server.explain;

import arborline.core.solid.ProfileElement;
import arborline.core.solid.SolidAxis;
import arborline.core.solid.SolidFinding;
import arborline.core.solid.SolidPart;
import arborline.core.solid.SolidProposal;
import arborline.core.solid.SolidReading;
import arborline.core.solid.TurnedShape;
import arborline.core.solid.shape.Vector3;
import arborline.server.explain.SolidController.ExplainedSolid;
import arborline.server.explain.SolidController.FlatsView;
import arborline.server.explain.SolidController.ProfileElementView;
import arborline.server.explain.SolidController.SolidAxisView;
import arborline.server.explain.SolidController.SolidFindingView;
import arborline.server.explain.SolidController.SolidPartView;
import arborline.server.explain.SolidController.SolidProposalView;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/** Readings of solids as the API answers them: lengths to a millionth of a millimetre. */
final class SolidViews {

  private static final int DECIMALS = 6;
  private static final int DIRECTION_DECIMALS = 9;
  private static final double ALONG = 1e-9;

  private SolidViews() {}

  static ExplainedSolid refused(String reason) {
    return new ExplainedSolid(
        false, reason, false, false, null, null, null, List.of(), null, null, null, null, List.of(),
        null, null, List.of(), null, null, 0, false, List.of(), List.of(), List.of());
  }

  static ExplainedSolid of(SolidReading read) {
    @Nullable TurnedShape turned = read.turned().orElse(null);
    return new ExplainedSolid(
        true,
        null,
        turned != null,
        !read.axes().isEmpty(),
        read.unit(),
        read.schema().isEmpty() ? null : read.schema(),
        turned == null ? null : axis(turned.axis()),
        read.axes().stream().map(SolidViews::axis).toList(),
        turned == null ? null : decimal(turned.length()),
        turned == null ? null : decimal(turned.diameter()),
        turned == null ? null : decimal(turned.bore()),
        turned == null ? null : decimal(turned.boreMachineEnd()),
        profile(turned),
        turned == null ? null : turned.connection().orElse(null),
        turned == null ? null : decimal(turned.gauge()),
        flats(turned),
        box(read.box()),
        box(read.ownBox()),
        read.bodies(),
        read.open(),
        read.proposals().stream().map(SolidViews::proposal).toList(),
        read.parts().stream().map(SolidViews::part).toList(),
        read.findings().stream().map(SolidViews::finding).toList());
  }

  private static BigDecimal decimal(double value) {
    return decimal(value, DECIMALS);
  }

  private static BigDecimal decimal(double value, int decimals) {
    BigDecimal rounded =
        BigDecimal.valueOf(value).setScale(decimals, RoundingMode.HALF_EVEN).stripTrailingZeros();
    return rounded.scale() < 0 ? rounded.setScale(0) : rounded;
  }

  private static @Nullable BigDecimal decimal(OptionalDouble value) {
    return value.isPresent() ? decimal(value.getAsDouble()) : null;
  }

  private static List<BigDecimal> vector(Vector3 vector, int decimals) {
    return Stream.of(vector.x(), vector.y(), vector.z())
        .map(value -> decimal(value, decimals))
        .toList();
  }

  private static @Nullable List<BigDecimal> box(Optional<Vector3> size) {
    return size.map(sides -> vector(sides, DECIMALS)).orElse(null);
  }

  private static SolidAxisView axis(SolidAxis axis) {
    return new SolidAxisView(
        name(axis.direction()),
        vector(axis.point(), DECIMALS),
        vector(axis.direction(), DIRECTION_DECIMALS),
        decimal(axis.diameter()));
  }

  private static String name(Vector3 direction) {
    for (Map.Entry<String, Vector3> axis :
        Map.of("X", Vector3.X, "Y", Vector3.Y, "Z", Vector3.Z).entrySet()) {
      double along = direction.dot(axis.getValue());
      if (direction.minus(axis.getValue().times(along)).length() < ALONG) {
        return along > 0 ? axis.getKey() : "-" + axis.getKey();
      }
    }
    return "oblique";
  }

  private static List<ProfileElementView> profile(@Nullable TurnedShape turned) {
    return turned == null ? List.of() : turned.profile().stream().map(SolidViews::element).toList();
  }

  private static ProfileElementView element(ProfileElement element) {
    return switch (element) {
      case ProfileElement.Corner corner ->
          new ProfileElementView(
              null, decimal(corner.z()), decimal(corner.r()), null, null, null, null, null);
      case ProfileElement.Arc arc ->
          new ProfileElementView(
              "arc",
              null,
              null,
              decimal(arc.z1()),
              decimal(arc.r1()),
              decimal(arc.z2()),
              decimal(arc.r2()),
              decimal(arc.radius()));
    };
  }

  private static List<FlatsView> flats(@Nullable TurnedShape turned) {
    return turned == null
        ? List.of()
        : turned.flats().stream()
            .map(flats ->
                new FlatsView(
                    flats.count(),
                    decimal(flats.distance()),
                    decimal(flats.from()),
                    decimal(flats.to())))
            .toList();
  }

  private static SolidProposalView proposal(SolidProposal proposal) {
    return new SolidProposalView(
        proposal.kind(),
        proposal.classId().orElse(null),
        proposal.confidence(),
        proposal.properties(),
        proposal.texts());
  }

  private static SolidPartView part(SolidPart part) {
    @Nullable TurnedShape turned = part.turned().orElse(null);
    return new SolidPartView(
        part.name(),
        turned != null,
        turned == null ? null : axis(turned.axis()),
        turned == null ? null : decimal(turned.length()),
        turned == null ? null : decimal(turned.diameter()),
        turned == null ? null : decimal(turned.bore()),
        profile(turned),
        part.proposals().stream().map(SolidViews::proposal).toList());
  }

  private static SolidFindingView finding(SolidFinding finding) {
    return new SolidFindingView(
        finding.line() == 0 ? null : finding.line(), finding.code(), finding.message());
  }
}
