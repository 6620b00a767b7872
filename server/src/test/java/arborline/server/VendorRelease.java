package arborline.server;

import java.nio.charset.StandardCharsets;
import java.util.LinkedHashMap;
import java.util.Map;

/** Packages of vendors as tests write them. */
final class VendorRelease {

  /** Sizes of a drill that nothing is wrong with. */
  static final String DRILL = "DC=8 LU=49 OAL=89 LCF=55 DMM=8";

  private VendorRelease() {}

  private static String property(int id, String symbol, String value) {
    return "#%d=TOOL_PROPERTY('%s',#1,%s,%s,$);\n"
        .formatted(id, symbol, value, symbol.equals("NOF") ? "$" : "#2");
  }

  /** A drill; lengths as {@code LU=49 OAL=89}. */
  static String drill(String id, String sizes) {
    StringBuilder properties = new StringBuilder();
    int next = 10;
    for (String size : sizes.split(" ")) {
      properties.append(property(next++, size.split("=")[0], size.split("=")[1] + "."));
    }
    return """
    ISO-10303-21;
    HEADER;
    FILE_NAME('a.p21','2026-03-02T09:14:00',(''),('Dreave Edge'),'','','');
    ENDSEC;
    DATA;
    #1=TOOL_ITEM('%s','Drill','twist drill');
    #2=UNIT(.MILLI.,.METRE.);
    #3=UNIT('deg');
    #4=TOOL_PROPERTY('SIG',#1,140.,#3,$);
    #5=TOOL_PROPERTY('NOF',#1,2,$,$);
    %sENDSEC;
    END-ISO-10303-21;
    """
        .formatted(id, properties);
  }

  /** The package of a release; of an item without text its file is missing. */
  static byte[] of(String vendor, String release, Map<String, String> items) {
    Map<String, byte[]> files = new LinkedHashMap<>();
    StringBuilder named = new StringBuilder();
    items.forEach((id, text) -> {
      named.append("<item id='%1$s' file='items/%1$s.p21'/>".formatted(id));
      if (!text.isEmpty()) {
        files.put("items/%s.p21".formatted(id), text.getBytes(StandardCharsets.UTF_8));
      }
    });
    files.put(
        "package.xml",
        "<package><vendor>%s</vendor><release>%s</release>%s</package>"
            .formatted(vendor, release, named)
            .getBytes(StandardCharsets.UTF_8));
    return Zips.of(files);
  }

  /** Items by id, each with its sizes behind it. */
  static Map<String, String> drills(String... idsAndSizes) {
    Map<String, String> items = new LinkedHashMap<>();
    for (int i = 0; i < idsAndSizes.length; i += 2) {
      String sizes = idsAndSizes[i + 1];
      items.put(idsAndSizes[i], sizes.isEmpty() ? "" : drill(idsAndSizes[i], sizes));
    }
    return items;
  }

  /** A shrink chuck; its speed as it is written in the file. */
  static String holder(String id, String speed) {
    return """
    ISO-10303-21;
    HEADER;
    FILE_NAME('a.p21','2026-03-02T09:14:00',(''),('Hold Edge'),'','','');
    ENDSEC;
    DATA;
    #1=ITEM('%s','shrink fit holder','Shrink chuck');
    #2=NAMED_UNIT('1/min');
    #3=PROPERTY_VALUE(#1,'RPMX',%s,#2,$);
    #4=CONNECTION(#1,'machine side','HT-A-63:m');
    #5=CONNECTION(#1,'workpiece side','CY-SF-12:f');
    ENDSEC;
    END-ISO-10303-21;
    """
        .formatted(id, speed);
  }
}
