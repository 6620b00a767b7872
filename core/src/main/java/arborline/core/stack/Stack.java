package arborline.core.stack;

import arborline.core.connection.Joint;
import arborline.core.finding.Finding;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;

/**
 * Parts joined from the machine side to the cutting edge.
 *
 * @param seat connection code of the spindle or turret; blank where no machine is chosen
 * @param components machine side first
 * @param overhang how far the cutter stands out of the last component, mm
 */
public record Stack(String seat, List<Component> components, Cutter cutter, double overhang) {

  /** What is not clamped by a shank has no free overhang: its length follows from its parts. */
  public Stack {
    overhang = cutter.clampedByShank() ? overhang : cutter.length();
  }

  /** What does not mate, cannot be held or cannot be. */
  public List<Finding> findings() {
    List<Finding> findings = new ArrayList<>();
    String socket = seat;
    for (Component component : components) {
      if (!socket.isBlank()) {
        joint(socket, component.machineSide(), component.code(), findings);
      }
      socket = component.workSide();
    }
    if (components.stream().filter(part -> part.turn().isPresent()).count() > 1) {
      findings.add(
          Finding.hold(
              "stack-turned-twice", "one aggregate turns the axis, a second cannot", "AXISANGLE"));
    }
    if (components.isEmpty()) {
      findings.add(Finding.note("stack-empty", "choose what holds %s".formatted(cutter.code())));
    } else {
      joint(socket, cutter.connection(), cutter.code(), findings);
      clamping(findings);
    }
    return findings;
  }

  private static void joint(String socket, String shank, String code, List<Finding> findings) {
    Joint joint = Joint.of(socket, shank);
    if (!joint.mates()) {
      findings.add(
          Finding.hold(
              "stack-joint",
              "%s (%s) does not go into %s: %s".formatted(code, shank, socket, joint.why()),
              "CCMS",
              "CCWS"));
    }
    joint
        .warning()
        .ifPresent(warning ->
            findings.add(Finding.query("stack-joint-look", "%s: %s".formatted(code, warning))));
  }

  private void clamping(List<Finding> findings) {
    double held = cutter.length() - overhang;
    if (!(overhang > 0) || overhang > cutter.length()) {
      findings.add(
          shankFinding(
              "overhang-range",
              "overhang %.1f mm is not between 0 and the length of %s, %.1f mm",
              overhang,
              cutter.code(),
              cutter.length()));
    } else if (clamped() && held < needed()) {
      findings.add(
          shankFinding(
              "clamping-short",
              "only %.1f mm of the shank are held, %s needs %.1f mm: an overhang of %.1f mm at most is possible",
              held,
              components.getLast().code(),
              needed(),
              longestOverhang()));
    }
  }

  /** How far the cutter can stand out with enough of its shank held, mm. */
  public double longestOverhang() {
    return Math.max(0, cutter.length() - (clamped() ? needed() : 0));
  }

  private boolean clamped() {
    return cutter.clampedByShank() && !components.isEmpty();
  }

  private double needed() {
    return components.getLast().clamping().doubleValue();
  }

  private static Finding shankFinding(String code, String sentence, Object... numbers) {
    return Finding.hold(code, String.format(Locale.ROOT, sentence, numbers), "LPR");
  }

  /** The whole as it stands in the machine. */
  public StackShape shape() {
    return StackShape.of(this);
  }
}
