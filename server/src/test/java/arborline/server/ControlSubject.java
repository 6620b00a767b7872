package arborline.server;

/** A planned tool of each machine, and how its operator changes a size of it. */
enum ControlSubject {
  L1(
      "5",
      "7",
      "OT-GR2-C",
      "OT-GR3-C",
      "Cormorant turning",
      "z",
      603,
      "{\"number\":603,\"values\":{\"Z\":%s}}"),
  M3(
      "11",
      "13",
      "MM-BL03",
      "MM-BL04",
      "Marram milling",
      "length",
      11,
      "{\"tool\":\"MM-BL03|1\",\"values\":{\"Edge1.Length\":%s}}"),
  R1(
      "6",
      "5",
      "PR-DC06",
      "PR-CP16",
      "Pelican router",
      "length",
      6,
      "{\"file\":\"TOOLS.DB\",\"cells\":[\"6\",\"PR-DC06\",\"Down-cut router bit 6\",\"%s\","
          + "\"5.989\",\"down-cut\"],\"all\":true}"),
  X1(
      "20",
      "9",
      "MM-BL04",
      "MM-BL03",
      "Marram milling",
      "length",
      12,
      "{\"place\":\"20\",\"edge\":1,\"values\":{\"length\":%s}}");

  final String place;
  final String otherPlace;
  final String code;
  final String otherCode;
  final String library;
  final String field;
  final int number;
  final String operator;

  ControlSubject(
      String place,
      String otherPlace,
      String code,
      String otherCode,
      String library,
      String field,
      int number,
      String operator) {
    this.place = place;
    this.otherPlace = otherPlace;
    this.code = code;
    this.otherCode = otherCode;
    this.library = library;
    this.field = field;
    this.number = number;
    this.operator = operator;
  }

  String path() {
    return "/api/v1/machines/" + name();
  }
}
