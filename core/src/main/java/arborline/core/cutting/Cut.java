package arborline.core.cutting;

import arborline.core.finding.Finding;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/**
 * One cut, computed. Formulas are those of {@link Formulas}.
 *
 * @param speed vc really reached, m/min
 * @param rotation n, 1/min
 * @param feed fz (fn for drills) really fed, mm
 * @param feedRate vf, mm/min
 * @param chip largest chip thickness, mm
 * @param removal Q, cm3/min
 * @param power kW
 * @param torque N·m
 * @param force mean force across the tool, which bends it, N
 * @param bend at the tip, micrometres; 0 where the stack is not known
 * @param findings what was clipped and why
 */
public record Cut(
    double speed,
    double rotation,
    double feed,
    double feedRate,
    double chip,
    double removal,
    double power,
    double torque,
    double force,
    double bend,
    List<Finding> findings) {

  private static final double SHARE = 0.995;

  /** Mean force across the tool in N is 60 000 P / vc. */
  private static final double MEAN_FORCE = 60_000;

  /**
   * What somebody asks for.
   *
   * @param speed vc, m/min
   * @param feed per tooth, or per revolution for drills, mm
   * @param depth ap, mm; not looked at for drills
   * @param width ae, mm; not looked at for drills
   */
  public record Wish(double speed, double feed, double depth, double width) {}

  /** Why a cut cannot be computed, or nothing where it can. */
  public static Optional<Finding> obstacle(Edges edges, Wish wish) {
    if (!(edges.diameter() > 0)) {
      return Optional.of(Finding.hold("cut-diameter", "the tool has no cutting diameter", "DC"));
    }
    if (!(wish.speed() > 0) || !(wish.feed() > 0)) {
      return Optional.of(Finding.hold("cut-wish", "speed and feed must be > 0"));
    }
    if (!edges.drills() && (!(wish.depth() > 0) || !(wish.width() > 0))) {
      return Optional.of(Finding.hold("cut-wish", "depth ap and width ae must be > 0"));
    }
    return !edges.drills() && wish.width() > edges.diameter()
        ? Optional.of(Finding.hold("cut-width", "ae cannot exceed D"))
        : Optional.empty();
  }

  /**
   * Computes a cut and clips it by the limits: rotation first, then the feed for power, torque and
   * bending.
   *
   * @throws IllegalArgumentException where {@link #obstacle} names a reason
   */
  public static Cut of(Edges edges, WorkMaterial material, Wish wish, Limits limits) {
    obstacle(edges, wish)
        .ifPresent(finding -> {
          throw new IllegalArgumentException(finding.message());
        });
    List<Finding> findings = new ArrayList<>();
    double wanted = Formulas.N.apply("vc", wish.speed(), "D", edges.diameter());
    double most = Math.min(limits.rpm(), edges.rpm());
    double rotation = Math.min(wanted, most);
    if (rotation < wanted) {
      findings.add(
          clipped(
              "rpm",
              "%.0f 1/min wanted, %s allows %.0f",
              wanted,
              limits.rpm() <= edges.rpm() ? "the spindle" : "the tool",
              most));
    }
    double speed = Formulas.VC.apply("n", rotation, "D", edges.diameter());
    Cut cut = plain(edges, material, speed, rotation, wish.feed(), wish, limits, findings);
    for (Bound bound : Bound.values()) {
      cut = bound.clip(cut, edges, material, wish, limits, findings);
    }
    if (cut.feed() < wish.feed() && cut.feed() < material.least(edges)) {
      findings.add(
          Finding.hold(
              "cut-thin",
              String.format(
                  Locale.ROOT,
                  "%.4f mm is below the usual feed of %.3f mm: cut less deep or less wide",
                  cut.feed(),
                  material.least(edges))));
    }
    return cut;
  }

  /** What limits the feed: {@code power}, {@code torque}, {@code bend}, else {@code chip}. */
  String limitedBy() {
    return findings.stream()
        .map(finding -> finding.code().replace("cut-", ""))
        .filter(List.of("power", "torque", "bend")::contains)
        .reduce((first, last) -> last)
        .orElse("chip");
  }

  private static Finding clipped(String code, String sentence, Object... numbers) {
    return Finding.query("cut-" + code, String.format(Locale.ROOT, sentence, numbers));
  }

  private static Cut plain(
      Edges edges,
      WorkMaterial material,
      double speed,
      double rotation,
      double feed,
      Wish wish,
      Limits limits,
      List<Finding> findings) {
    return edges.drills()
        ? drilled(edges, material, speed, rotation, feed, findings)
        : milled(edges, material, speed, rotation, feed, wish, limits, findings);
  }

  private static Cut drilled(
      Edges edges,
      WorkMaterial material,
      double speed,
      double rotation,
      double feed,
      List<Finding> findings) {
    double rate = Formulas.VF_REV.apply("n", rotation, "fn", feed);
    double chip = Formulas.H_DRILL.apply("fn", feed, "SIG", edges.pointAngle());
    double kc = Formulas.KC.apply("kc11", material.force(), "mc", material.rise(), "h", chip);
    double power = Formulas.P_DRILL.apply("fn", feed, "vc", speed, "D", edges.diameter(), "kc", kc);
    return new Cut(
        speed,
        rotation,
        feed,
        rate,
        chip,
        Formulas.Q_DRILL.apply("D", edges.diameter(), "vf", rate),
        power,
        Formulas.TORQUE.apply("P", power, "n", rotation),
        0,
        0,
        findings);
  }

  private static Cut milled(
      Edges edges,
      WorkMaterial material,
      double speed,
      double rotation,
      double feed,
      Wish wish,
      Limits limits,
      List<Finding> findings) {
    double rate = Formulas.VF_MILL.apply("n", rotation, "z", edges.teeth(), "fz", feed);
    Inputs engaged =
        Inputs.of("fz", feed, "ae", wish.width(), "D", edges.diameter(), "ka", edges.edgeAngle());
    double mean = Formulas.HM_SIDE.apply(engaged);
    double kc = Formulas.KC.apply("kc11", material.force(), "mc", material.rise(), "h", mean);
    double power =
        Formulas.P_MILL.apply("ap", wish.depth(), "ae", wish.width(), "vf", rate, "kc", kc);
    double chip = Formulas.HEX_SIDE.apply(engaged);
    double force = MEAN_FORCE * power / speed;
    return new Cut(
        speed,
        rotation,
        feed,
        rate,
        chip,
        Formulas.Q_MILL.apply("ap", wish.depth(), "ae", wish.width(), "vf", rate),
        power,
        Formulas.TORQUE.apply("P", power, "n", rotation),
        force,
        force * limits.compliance(),
        findings);
  }

  /** Limits that a smaller feed can keep. */
  private enum Bound {
    POWER("power", "%.2f kW needed, %.2f kW there: feed lowered to %.4f mm") {
      @Override
      double used(Cut cut) {
        return cut.power();
      }

      @Override
      double allowed(Limits limits) {
        return limits.power();
      }
    },
    TORQUE("torque", "%.1f N·m needed, %.1f N·m there: feed lowered to %.4f mm") {
      @Override
      double used(Cut cut) {
        return cut.torque();
      }

      @Override
      double allowed(Limits limits) {
        return limits.torque();
      }
    },
    BEND("bend", "tip bends by %.1f µm, %.1f µm allowed: feed lowered to %.4f mm") {
      @Override
      double used(Cut cut) {
        return cut.bend();
      }

      @Override
      double allowed(Limits limits) {
        return limits.bend();
      }
    };

    private final String code;
    private final String sentence;

    Bound(String code, String sentence) {
      this.code = code;
      this.sentence = sentence;
    }

    abstract double used(Cut cut);

    abstract double allowed(Limits limits);

    /** Halves the interval of feeds until the limit is just kept. */
    Cut clip(
        Cut cut,
        Edges edges,
        WorkMaterial material,
        Wish wish,
        Limits limits,
        List<Finding> findings) {
      double most = allowed(limits);
      if (!(used(cut) > most)) {
        return cut;
      }
      double low = 0;
      double high = cut.feed();
      Cut kept = cut;
      for (int step = 0; step < 60 && (used(kept) > most || used(kept) < SHARE * most); step++) {
        double feed = (low + high) / 2;
        kept = plain(edges, material, cut.speed(), cut.rotation(), feed, wish, limits, findings);
        if (used(kept) > most) {
          high = feed;
        } else {
          low = feed;
        }
      }
      findings.add(clipped(code, sentence, used(cut), most, kept.feed()));
      return kept;
    }
  }
}
