package arborline.core.tool.implied;

import arborline.core.tool.Implication;
import arborline.core.tool.Tool;

/** What the shape of a cutter says of its sizes; plain geometry. */
public final class Shapes {

  private Shapes() {}

  /** RE is half of DC, DC twice RE. */
  public static Implication[] ball() {
    return new Implication[] {
      Computed.of("RE", tool -> size(tool, "DC") / 2, "DC"),
      Computed.of("DC", tool -> 2 * size(tool, "RE"), "RE")
    };
  }

  /** DCX, DCN, APMX and SIG of a cone: DCX = DCN + 2·APMX·tan(SIG/2). */
  public static Implication[] cone() {
    return new Implication[] {
      new Same("DCX", "DC"),
      Computed.of("SIG", tool -> 2 * (90 - size(tool, "KAPR")), "KAPR"),
      Computed.of("DCN", tool -> size(tool, "DCX") - 2 * rise(tool), "DCX", "APMX", "SIG"),
      Computed.of("DCX", tool -> size(tool, "DCN") + 2 * rise(tool), "DCN", "APMX", "SIG"),
      Computed.of(
          "SIG",
          tool ->
              2
                  * Math.toDegrees(
                      Math.atan((size(tool, "DCX") - size(tool, "DCN")) / 2 / size(tool, "APMX"))),
          "DCX",
          "DCN",
          "APMX"),
      Computed.of(
          "APMX",
          tool -> (size(tool, "DCX") - size(tool, "DCN")) / 2 / Math.tan(half(tool)),
          "DCX",
          "DCN",
          "SIG")
    };
  }

  /** DC = DCN + 2·APMX·tan(BHTA) of a mill whose edges widen from the tip, each from the others. */
  public static Implication[] taper() {
    return new Implication[] {
      Computed.of(
          "DCN",
          tool -> size(tool, "DC") - 2 * size(tool, "APMX") * Math.tan(side(tool)),
          "DC",
          "APMX",
          "BHTA"),
      Computed.of(
          "DC",
          tool -> size(tool, "DCN") + 2 * size(tool, "APMX") * Math.tan(side(tool)),
          "DCN",
          "APMX",
          "BHTA"),
      Computed.of(
          "BHTA",
          tool ->
              Math.toDegrees(
                  Math.atan((size(tool, "DC") - size(tool, "DCN")) / 2 / size(tool, "APMX"))),
          "DC",
          "DCN",
          "APMX"),
      Computed.of(
          "APMX",
          tool -> (size(tool, "DC") - size(tool, "DCN")) / 2 / Math.tan(side(tool)),
          "DC",
          "DCN",
          "BHTA")
    };
  }

  /** DCX = DC + 2·APMX/tan KAPR of a face mill below 90 degrees, each from the others. */
  public static Implication[] face() {
    return new Implication[] {
      Computed.of(
          "DCX",
          tool -> size(tool, "DC") + 2 * size(tool, "APMX") / Math.tan(setting(tool)),
          "DC",
          "APMX",
          "KAPR"),
      Computed.of(
          "DC",
          tool -> size(tool, "DCX") - 2 * size(tool, "APMX") / Math.tan(setting(tool)),
          "DCX",
          "APMX",
          "KAPR"),
      Computed.of(
          "KAPR",
          tool ->
              Math.toDegrees(
                  Math.atan2(2 * size(tool, "APMX"), size(tool, "DCX") - size(tool, "DC"))),
          "DC",
          "DCX",
          "APMX"),
      Computed.of(
          "APMX",
          tool -> (size(tool, "DCX") - size(tool, "DC")) / 2 * Math.tan(setting(tool)),
          "DC",
          "DCX",
          "KAPR")
    };
  }

  /** KAPR = (180 - EPSR)/2 of a holder whose insert points straight ahead, and the other way. */
  public static Implication[] neutral() {
    return new Implication[] {
      Computed.of("KAPR", tool -> (180 - size(tool, "EPSR")) / 2, "EPSR"),
      Computed.of("EPSR", tool -> 180 - 2 * size(tool, "KAPR"), "KAPR")
    };
  }

  /** Pitch and threads per inch: TP·TPI = 25.4 mm. */
  public static Implication[] pitch() {
    return new Implication[] {Computed.of("TP", tool -> 25.4 / size(tool, "TPI"), "TPI")};
  }

  private static double rise(Tool tool) {
    return size(tool, "APMX") * Math.tan(half(tool));
  }

  private static double half(Tool tool) {
    return Math.toRadians(size(tool, "SIG") / 2);
  }

  private static double side(Tool tool) {
    return Math.toRadians(size(tool, "BHTA"));
  }

  private static double setting(Tool tool) {
    double angle = size(tool, "KAPR");
    return angle < 90 ? Math.toRadians(angle) : Double.NaN;
  }

  private static double size(Tool tool, String symbol) {
    return tool.size(symbol).doubleValue();
  }
}
