package arborline.core.turning;

import arborline.core.finding.Finding;
import arborline.core.turning.Mounting.Hand;
import arborline.core.turning.Mounting.Side;
import arborline.core.turning.Mounting.Work;
import java.util.Optional;
import java.util.stream.IntStream;

/**
 * Derives contact side, feed direction, spindle direction and imaginary tip from hand and mounting
 * by signs of the physical frame: f contact side, r rake, h hand, p spindle.
 *
 * <p>Seen against its tip a right-hand tool with its rake up has the major edge on the right; M3
 * and M4 are seen from behind the spindle's own headstock. Source: trade practice, checked by the
 * invariant that feeding towards its own chuck gives M3 for R and M4 for L.
 */
public final class Orientation {

  private Orientation() {}

  /** Why such a mounting cannot be, or nothing where it can. */
  public static Optional<Finding> obstacle(Mounting mounting) {
    return why(mounting).map(reason -> Finding.hold("mounting", reason, "HAND"));
  }

  private static Optional<String> why(Mounting mounting) {
    if (mounting.mirroredZ() && !mounting.subSpindle()) {
      return Optional.of("Z is mirrored only for work on the sub spindle");
    }
    Work work = mounting.work();
    if (!mounting.axial() && work != Work.EXTERNAL) {
      return Optional.of(
          switch (work) {
            case INTERNAL -> "a radially mounted tool cannot reach a bore; use an axial bar";
            case FACE -> "face work means a shank parallel to Z; mount it axially";
            default -> "centre work needs an axial tool";
          });
    }
    if (mounting.axial() && work == Work.EXTERNAL) {
      return Optional.of(
          "external turning is worked with a radial shank; an axial square shank is work \"face\"");
    }
    if (mounting.hand() == Hand.N && work != Work.EXTERNAL) {
      return Optional.of(
          switch (work) {
            case CENTER -> "rotation-cutting tool must be R or L";
            case INTERNAL -> "neutral bar: tip side is undefined, choose it by hand";
            default -> "neutral axial tool: choose the set point by hand";
          });
    }
    return Optional.empty();
  }

  /**
   * How the tool stands.
   *
   * @throws IllegalArgumentException where {@link #obstacle} names one
   */
  public static ToolOrientation of(Mounting mounting) {
    obstacle(mounting)
        .ifPresent(finding -> {
          throw new IllegalArgumentException(finding.message());
        });
    return switch (mounting.work()) {
      case EXTERNAL -> external(mounting);
      case INTERNAL -> internal(mounting);
      case FACE -> face(mounting);
      case CENTER -> centre(mounting);
    };
  }

  private static ToolOrientation external(Mounting mounting) {
    int contact = mounting.turret().sign();
    int feed = -together(contact, mounting.rake(), mounting.hand().sign());
    String along =
        feed == 0 ? "either" : feed == chuck(mounting) ? "toward_chuck" : "away_from_chuck";
    return new ToolOrientation(
        side(contact),
        along,
        spindle(together(contact, mounting.rake(), mounting.spindle())),
        programX(mounting, -contact),
        programZ(mounting, feed),
        feed == 0 ? Optional.of("neutral: feed both ways") : Optional.empty());
  }

  private static ToolOrientation internal(Mounting mounting) {
    int contact = together(mounting.spindle(), mounting.hand().sign(), mounting.rake());
    int tipX = programX(mounting, contact);
    boolean far = tipX < 0;
    return new ToolOrientation(
        side(contact),
        "toward_chuck",
        spindle(mounting.hand().sign()),
        tipX,
        programZ(mounting, chuck(mounting)),
        far
            ? Optional.of("tip is on the far side of the axis: bore cut at negative X")
            : Optional.empty());
  }

  private static ToolOrientation face(Mounting mounting) {
    int contact = mounting.turret().sign();
    int cutting = together(mounting.spindle(), mounting.hand().sign(), mounting.rake());
    return new ToolOrientation(
        side(contact),
        cutting == contact ? "away_from_axis" : "toward_axis",
        spindle(together(contact, mounting.rake(), mounting.spindle())),
        programX(mounting, cutting),
        programZ(mounting, chuck(mounting)),
        Optional.empty());
  }

  private static ToolOrientation centre(Mounting mounting) {
    return new ToolOrientation(
        "axis",
        "toward_chuck",
        spindle(mounting.hand().sign()),
        0,
        programZ(mounting, chuck(mounting)),
        Optional.of("on-centre tool"));
  }

  /** What several senses come to together; 0 where one is neutral. */
  private static int together(int... senses) {
    return IntStream.of(senses).reduce(1, (one, other) -> one * other);
  }

  private static String side(int contact) {
    return contact > 0 ? "front" : "rear";
  }

  private static String spindle(int sense) {
    return sense > 0 ? "M3" : "M4";
  }

  /** The way to the tool's own chuck along physical Z. */
  private static int chuck(Mounting mounting) {
    return -mounting.spindle();
  }

  /** A direction to the front (+1) or rear (-1) in program X. */
  private static int programX(Mounting mounting, int front) {
    Side positive = mounting.commonX() ? Side.REAR : mounting.turret();
    return together(front, positive.sign());
  }

  private static int programZ(Mounting mounting, int physical) {
    return mounting.mirroredZ() ? -physical : physical;
  }
}
