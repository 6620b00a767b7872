package arborline.shop.dispatch;

import arborline.core.tool.outline.Point;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/** The half profile of an item's model, mm, from the machine end; empty for one without a model. */
final class ItemProfile {

  private static final double STEP = 12;

  private ItemProfile() {}

  /**
   * The profile.
   *
   * @param length of the whole where the model is drawn wrong; 0 as the item is
   */
  static List<Point> of(CatalogueItem item, double length) {
    List<Point> profile = item.profile().isBlank() ? solidTool(item) : read(item.profile());
    if (length == 0 || profile.isEmpty()) {
      return profile;
    }
    double more = length - (profile.getLast().z() - profile.getFirst().z());
    List<Point> drawn = new ArrayList<>();
    double front = profile.getLast().z() - STEP;
    profile.forEach(
        point -> drawn.add(point.z() < front ? point : new Point(point.z() + more, point.r())));
    return drawn;
  }

  private static List<Point> read(String profile) {
    return Arrays.stream(profile.split(";"))
        .map(point -> point.strip().split(" "))
        .map(pair -> new Point(Double.parseDouble(pair[0]), Double.parseDouble(pair[1])))
        .toList();
  }

  private static List<Point> solidTool(CatalogueItem item) {
    double total = item.length("OAL");
    double shank = item.length("DMM") / 2;
    if (total == 0 || shank == 0) {
      return List.of();
    }
    double first = Math.max(item.length("DC"), item.length("DC1")) / 2;
    first = item.sizes().containsKey("DC1") ? item.length("DC1") / 2 : first;
    double body = item.sizes().containsKey("DC2") ? item.length("DC2") / 2 : first;
    double cutting = item.length(item.sizes().containsKey("LCF") ? "LCF" : "APMX");
    List<Point> half = new ArrayList<>();
    half.add(new Point(0, shank));
    half.add(new Point(total - cutting, shank));
    half.add(new Point(total - cutting, body));
    if (body > first) {
      double step = total - item.length("SDL1");
      half.add(new Point(step - (body - first), body));
      half.add(new Point(step, first));
    }
    tip(item, total, first, half);
    return half;
  }

  private static void tip(CatalogueItem item, double total, double radius, List<Point> half) {
    if (item.sizes().containsKey("SIG")) {
      double point = radius / Math.tan(Math.toRadians(item.length("SIG") / 2));
      half.add(new Point(total - point, radius));
      half.add(new Point(total, 0));
      return;
    }
    double corner = item.what().contains("ball") ? radius : item.length("RE");
    half.add(new Point(total - corner, radius));
    int steps = corner == 0 ? 0 : 24;
    for (int i = 1; i <= steps; i++) {
      double angle = Math.PI / 2 * i / steps;
      half.add(
          new Point(
              total - corner + corner * Math.sin(angle),
              radius - corner + corner * Math.cos(angle)));
    }
  }
}
