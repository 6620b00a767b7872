package arborline.server;

import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** Tools as a client sends them. */
final class Draft {

  private Draft() {}

  /**
   * A tool that is to be made.
   *
   * @param values as {@code DC=10 NOF=4}; lengths in mm
   */
  static Map<String, Object> of(String code, String name, String toolClass, String values) {
    return Api.body("code", code, "name", name, "classId", toolClass, "values", values(values));
  }

  /** A flat end mill of four flutes; all but its diameter stands firm. */
  static Map<String, Object> mill(String code, String diameter) {
    return of(
        code, "Mill", "end-mill-flat", "DC=%s APMX=20 DMM=12 OAL=83 NOF=4".formatted(diameter));
  }

  /** Cutting data for roughing at 150 m/min and 0.05 mm. */
  static Map<String, Object> cutting(String material, String origin, Object... changes) {
    Map<String, Object> line =
        Api.body(
            "material",
            material,
            "purpose",
            "rough",
            "speed",
            150,
            "feed",
            0.05,
            "depth",
            10,
            "width",
            3,
            "coolant",
            "emulsion",
            "origin",
            origin);
    line.putAll(Api.body(changes));
    return line;
  }

  /** A shrink chuck for shanks of 10 mm. */
  static Map<String, Object> holder(String code, String name) {
    return Api.body(
        "code",
        code,
        "name",
        name,
        "kind",
        "HOLDER",
        "machineSide",
        "ST-JD-40:m",
        "workSide",
        "CY-SF-10:f",
        "bodies",
        List.of(
            Api.body("length", 27, "from", 63, "to", 63),
            Api.body("length", 60, "from", 44, "to", 24)),
        "material",
        "STEEL",
        "clamping",
        28);
  }

  /**
   * A stack on a spindle of size 40.
   *
   * @param overhang mm
   */
  static Map<String, Object> stack(List<Long> components, double overhang) {
    return Api.body(
        "name", "Short", "seat", "ST-JD-40:f", "components", components, "overhang", overhang);
  }

  private static Map<String, Object> values(String values) {
    Map<String, Object> all = new LinkedHashMap<>();
    Arrays.stream(values.split(" "))
        .map(pair -> pair.split("=", 2))
        .forEach(pair -> all.put(pair[0], Api.body("text", pair[1])));
    return all;
  }
}
