package arborline.server;

import java.util.Arrays;
import java.util.LinkedHashMap;
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

  private static Map<String, Object> values(String values) {
    Map<String, Object> all = new LinkedHashMap<>();
    Arrays.stream(values.split(" "))
        .map(pair -> pair.split("=", 2))
        .forEach(pair -> all.put(pair[0], Api.body("text", pair[1])));
    return all;
  }
}
