package arborline.core.cutting;

import java.util.ArrayList;
import java.util.List;

/**
 * The usable window of a tool in a material: for each speed the largest feed that power, torque and
 * bending leave, between the usual chip thicknesses.
 *
 * @param points by rising speed, up to where rotation ends
 * @param feedLow lowest usual feed, mm
 * @param feedHigh highest usual feed, mm
 * @param speedHigh speed at the largest rotation, m/min; infinite where nothing limits it
 */
public record Window(List<WindowPoint> points, double feedLow, double feedHigh, double speedHigh) {

  /**
   * One speed of the window.
   *
   * @param by what limits the feed: {@code chip}, {@code power}, {@code torque} or {@code bend}
   */
  public record WindowPoint(double speed, double feed, String by) {}

  private static final int STEPS = 40;

  /** Computes the window around the usual speeds of a material. */
  public static Window of(
      CuttingMethod method, WorkMaterial material, CutRequest request, Limits limits) {
    UsualRange usual = method.feeds(material);
    double end = Math.PI * method.diameter(request) * Math.min(limits.rpm(), method.rpm()) / 1000;
    UsualRange speeds = method.practice().speeds(material);
    double from = 0.5 * speeds.low();
    double to = 1.5 * speeds.high();
    List<WindowPoint> points = new ArrayList<>();
    for (int step = 0; step <= STEPS; step++) {
      double speed = from + (to - from) * step / STEPS;
      if (speed <= end) {
        Cut cut = Cut.of(method, material, request.with(speed, usual.high()), limits);
        points.add(new WindowPoint(speed, cut.feed(), cut.limitedBy()));
      }
    }
    return new Window(points, usual.low(), usual.high(), end);
  }
}
