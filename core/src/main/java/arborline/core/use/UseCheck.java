package arborline.core.use;

import arborline.core.finding.Finding;
import arborline.core.machine.Outputs;
import arborline.core.storage.Station;
import arborline.core.tool.Process;
import arborline.core.tool.Tool;
import arborline.core.tool.ToolClass;
import arborline.core.tool.ToolClasses;
import arborline.core.turning.Mounting.Work;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/** Says what of a use cannot be in its place, each with its numbers. */
final class UseCheck {

  private static final BigDecimal RIGHT_ANGLE = new BigDecimal("90");
  private static final int HIGHEST_OFFSET = 9999;
  private static final int MOST_OFFSETS = 9;

  private final UsePlace place;
  private final Tool tool;
  private final ToolUse use;
  private final Optional<ToolClass> known;
  private final List<Finding> findings = new ArrayList<>();

  private UseCheck(UsePlace place, Tool tool, ToolUse use) {
    this.place = place;
    this.tool = tool;
    this.use = use;
    this.known = ToolClasses.named(tool.toolClass());
  }

  static List<Finding> of(UsePlace place, Tool tool, ToolUse use, Optional<BigDecimal> block) {
    UseCheck check = new UseCheck(place, tool, use);
    check.turning();
    check.angle();
    block.ifPresent(check::block);
    check.spindle();
    check.work();
    check.setPoint();
    check.offsets();
    check.depth();
    check.speed();
    check.outputs();
    return check.findings;
  }

  private void hold(String code, String sentence, Object... values) {
    findings.add(Finding.hold(code, sentence.formatted(values)));
  }

  private Process process() {
    return known.map(one -> one.sheet().process()).orElse(Process.MILLING);
  }

  private void turning() {
    String where = place.placed().words();
    if (use.driven() && !place.drives()) {
      hold("use-not-driven", "%s drives nothing: choose static, or a driven station", where);
    }
    if (use.driven() && process() == Process.TURNING) {
      hold("use-turned", "a turning tool does not turn: choose static");
    }
    if (use.driven() && process() == Process.PROBING) {
      hold("use-probe-driven", "a probe must never turn: choose static");
    }
    boolean mills = process() == Process.MILLING || process() == Process.ROUTING;
    if (!use.driven() && mills) {
      hold("use-stands-still", "a %s cuts only while it turns: choose driven", title());
    }
    boolean needsStill = !use.driven() && process() != Process.PROBING && !mills;
    if (needsStill && !place.holdsStill()) {
      hold("use-not-held", "%s cannot hold a tool still while work turns: choose driven", where);
    }
  }

  private String title() {
    return known.map(one -> one.sheet().title()).orElse("tool");
  }

  private void angle() {
    BigDecimal angle = use.angle();
    if (angle == null || angle.signum() < 0 || angle.compareTo(RIGHT_ANGLE) > 0) {
      hold("use-angle", "the angle to the axis of the work is 0 (along) to 90 (across) degrees");
      return;
    }
    BigDecimal step = place.station().map(Station::angleStep).orElse(null);
    boolean straight = angle.signum() == 0 || angle.compareTo(RIGHT_ANGLE) == 0;
    boolean free = place.turret().isEmpty();
    if (!straight && !free && (step == null || angle.remainder(step).signum() != 0)) {
      hold(
          "use-angle",
          "%s° cannot be set at %s, which goes in steps of %s°",
          angle.toPlainString(),
          place.placed().words(),
          step == null ? "90" : step.toPlainString());
    }
    if (!straight && place.works().isEmpty()) {
      hold("use-angle", "a tool stands along its spindle here");
    }
  }

  /** Another block may be meant; the one that is kept holds the tool in one way. */
  private void block(BigDecimal held) {
    if (use.angle() != null && use.angle().compareTo(held) != 0) {
      findings.add(
          Finding.query(
              "use-block",
              "the holder in its stack holds it at %s° to the axis of the work, the use says %s°:"
                      .formatted(held.toPlainString(), use.angle().toPlainString())
                  + " keep a stack with another holder, or choose its angle"));
    }
  }

  private void spindle() {
    if (use.spindle().isEmpty()
        ? !place.reached().isEmpty()
        : !place.reached().contains(use.spindle())) {
      hold(
          "use-spindle",
          "%s reaches %s",
          place.placed().words(),
          place.reached().isEmpty()
              ? "no spindle that turns work"
              : "the %s spindle".formatted(String.join(" and the ", place.reached())));
    }
  }

  /** A tool for grooves in a face is curved to one; it rubs in a bore and on the outside. */
  private void work() {
    boolean turned = !place.works().isEmpty() && process() == Process.TURNING;
    if (turned && tool.has("DAXN") && use.work() != Work.FACE) {
      findings.add(
          Finding.query(
              "use-work",
              "a %s cuts grooves into a face: choose face, or another tool".formatted(title())));
    }
  }

  private void setPoint() {
    known.ifPresent(one -> {
      List<SetPoint> possible = SetPoint.of(one);
      if (!possible.contains(use.setPoint())) {
        hold(
            "use-set-point",
            "a %s is set by its %s",
            title(),
            String.join(" or its ", possible.stream().map(SetPoint::word).toList()));
      }
    });
  }

  private void offsets() {
    boolean wrong =
        use.offsets().isEmpty()
            || use.offsets().size() > MOST_OFFSETS
            || use.offsets().stream().anyMatch(offset -> offset < 1 || offset > HIGHEST_OFFSET);
    if (wrong) {
      hold(
          "use-offsets",
          "offset numbers: 1 to %d numbers from 1 to %d",
          MOST_OFFSETS,
          HIGHEST_OFFSET);
    } else if (new HashSet<>(use.offsets()).size() < use.offsets().size()) {
      hold("use-offsets", "an offset number stands twice; each edge has its own");
    }
  }

  /** A tool goes no deeper than it cuts, or than it stands free. */
  private void depth() {
    if (use.depth() == null) {
      return;
    }
    Optional<BigDecimal> most =
        Stream.of("LU", "APMX", "LCF", "CDX")
            .map(tool::size)
            .filter(size -> size != null)
            .findFirst();
    if (use.depth().signum() <= 0) {
      hold("use-depth", "the deepest it may go is above 0 mm");
    } else if (most.filter(size -> use.depth().compareTo(size) > 0).isPresent()) {
      hold(
          "use-depth",
          "%s mm is deeper than it can go: %s mm",
          use.depth().toPlainString(),
          most.get().toPlainString());
    }
  }

  private void speed() {
    if (use.speed() == null) {
      return;
    }
    if (use.speed().signum() <= 0) {
      hold("use-speed", "the fastest it may turn is above 0");
      return;
    }
    limit("the tool", tool.size("RPMX"));
    if (use.driven()) {
      limit(place.placed().words(), place.station().map(Station::rpm).orElse(null));
      limit("the spindle", place.toolSpindle().map(spindle -> spindle.rpm()).orElse(null));
    }
  }

  private void limit(String what, BigDecimal most) {
    if (most != null && use.speed().compareTo(most) > 0) {
      hold(
          "use-speed",
          "%s 1/min is more than %s may turn (%s 1/min)",
          use.speed().toPlainString(),
          what,
          most.toPlainString());
    }
  }

  private void outputs() {
    Outputs outputs = place.machine().outputs();
    if (use.blower() && !outputs.blower()) {
      hold("use-blower", "%s has no blower", place.machine().name());
    }
    if (!use.coolant().isEmpty() && !outputs.coolant().contains(use.coolant())) {
      hold(
          "use-coolant",
          "%s has no coolant '%s'; it has %s",
          place.machine().name(),
          use.coolant(),
          outputs.coolant().isEmpty() ? "none" : String.join(", ", outputs.coolant()));
    }
    BigDecimal hood = use.hood();
    if (hood != null) {
      boolean within =
          outputs.hoodFrom() != null
              && hood.compareTo(outputs.hoodFrom()) >= 0
              && hood.compareTo(outputs.hoodTo()) <= 0;
      if (!within) {
        hold(
            "use-hood",
            outputs.hoodFrom() == null
                ? "%s has no hood"
                : "the hood of %s stands at "
                    + outputs.hoodFrom()
                    + " to "
                    + outputs.hoodTo()
                    + " mm",
            place.machine().name());
      }
    }
  }
}
