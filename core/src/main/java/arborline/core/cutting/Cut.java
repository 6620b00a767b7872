package arborline.core.cutting;

import arborline.core.cutting.formula.CuttingSpeed;
import arborline.core.cutting.formula.Formulas;
import arborline.core.cutting.formula.SpindleSpeed;
import arborline.core.cutting.formula.Torque;
import arborline.core.finding.Finding;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.ToDoubleFunction;

/**
 * One cut, computed and clipped by limits. Formulas are those of {@link Formulas}.
 *
 * @param speed vc really reached, m/min
 * @param rotation n, 1/min
 * @param feed fz or fn really fed, mm
 * @param feedRate vf, mm/min
 * @param chip largest chip thickness, mm
 * @param removal Q, cm3/min; 0 where none is known
 * @param power kW
 * @param torque N·m
 * @param force mean force across the tool, which bends it, N
 * @param bend at the tip, micrometres; 0 where the stack is not known
 * @param figures what else follows with this method of cutting
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
    List<Figure> figures,
    List<Finding> findings) {

  private static final double SHARE = 0.995;

  /** Why a cut cannot be computed, or nothing where it can. */
  public static Optional<Finding> obstacle(CuttingMethod method, CutRequest request) {
    return request.speed() > 0
        ? method.obstacle(request)
        : CuttingMethod.refused("speed vc must be > 0");
  }

  /**
   * Computes a cut and clips it by the limits: rotation first, then the feed for power, torque and
   * bending.
   *
   * @throws IllegalArgumentException where {@link #obstacle} names a reason
   */
  public static Cut of(
      CuttingMethod method, WorkMaterial material, CutRequest request, Limits limits) {
    obstacle(method, request)
        .ifPresent(finding -> {
          throw new IllegalArgumentException(finding.message());
        });
    List<Finding> findings = new ArrayList<>();
    double diameter = method.diameter(request);
    double wanted = SpindleSpeed.FORMULA.apply("vc", request.speed(), "D", diameter);
    double most = Math.min(limits.rpm(), method.rpm());
    double rotation = Math.min(wanted, most);
    if (rotation < wanted) {
      findings.add(
          clipped(
              "rpm",
              "%.0f 1/min wanted, %s allows %.0f",
              wanted,
              limits.rpm() <= method.rpm() ? "the spindle" : "the tool",
              most));
    }
    double speed = CuttingSpeed.FORMULA.apply("n", rotation, "D", diameter);
    Scene scene = new Scene(method, material, request, limits, speed, rotation, findings);
    Cut cut = scene.at(method.feed(request));
    for (Bound bound : Bound.values()) {
      cut = bound.clip(cut, scene);
    }
    double least = method.feeds(material).low();
    if (cut.feed() < method.feed(request) && cut.feed() < least) {
      findings.add(
          Finding.query(
              "cut-thin",
              String.format(
                  Locale.ROOT,
                  "%.4f mm is below the usual feed of %.3f mm: cut less deep or less wide",
                  cut.feed(),
                  least)));
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

  /** Everything of a cut but its feed. */
  private record Scene(
      CuttingMethod method,
      WorkMaterial material,
      CutRequest request,
      Limits limits,
      double speed,
      double rotation,
      List<Finding> findings) {

    Cut at(double feed) {
      Load load = method.load(material, speed, rotation, feed, request);
      return new Cut(
          speed,
          rotation,
          feed,
          load.rate(),
          load.chip(),
          load.removal(),
          load.power(),
          Torque.FORMULA.apply("P", load.power(), "n", rotation),
          load.force(),
          load.force() * limits.compliance(),
          load.figures(),
          findings);
    }
  }

  /** Limits that a smaller feed can keep. */
  private enum Bound {
    POWER(
        "power",
        "%.2f kW needed, %.2f kW there: feed lowered to %.4f mm",
        Cut::power,
        Limits::power),
    TORQUE(
        "torque",
        "%.1f N·m needed, %.1f N·m there: feed lowered to %.4f mm",
        Cut::torque,
        Limits::torque),
    BEND(
        "bend",
        "tip bends by %.1f µm, %.1f µm allowed: feed lowered to %.4f mm",
        Cut::bend,
        Limits::bend);

    private final String code;
    private final String sentence;
    private final ToDoubleFunction<Cut> used;
    private final ToDoubleFunction<Limits> allowed;

    Bound(
        String code,
        String sentence,
        ToDoubleFunction<Cut> used,
        ToDoubleFunction<Limits> allowed) {
      this.code = code;
      this.sentence = sentence;
      this.used = used;
      this.allowed = allowed;
    }

    private double used(Cut cut) {
      return used.applyAsDouble(cut);
    }

    /**
     * Halves the interval of feeds until the limit is just kept. A feed that is a pitch stays, and
     * what it exceeds is said.
     */
    Cut clip(Cut cut, Scene scene) {
      double most = allowed.applyAsDouble(scene.limits());
      if (!(used(cut) > most)) {
        return cut;
      }
      if (scene.method().feedIsPitch()) {
        scene
            .findings()
            .add(clipped(code, sentence.replace(": feed lowered to %.4f mm", ""), used(cut), most));
        return cut;
      }
      double low = 0;
      double high = cut.feed();
      Cut kept = cut;
      for (int step = 0; step < 60 && (used(kept) > most || used(kept) < SHARE * most); step++) {
        double feed = (low + high) / 2;
        kept = scene.at(feed);
        if (used(kept) > most) {
          high = feed;
        } else {
          low = feed;
        }
      }
      scene.findings().add(clipped(code, sentence, used(cut), most, kept.feed()));
      return kept;
    }
  }
}
