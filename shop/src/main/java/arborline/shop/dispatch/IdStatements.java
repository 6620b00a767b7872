package arborline.shop.dispatch;

import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.HashMap;
import java.util.HexFormat;
import java.util.Map;
import java.util.SortedMap;
import java.util.TreeMap;

/**
 * Properties by ids of the vendor, which a dictionary beside the files explains: item, property
 * with value and unit, model.
 */
final class IdStatements implements ItemStatements {

  private static final int ID_LETTERS = 12;

  private static final Map<String, String> UNITS =
      Map.of(
          "mm", "(LENGTH_UNIT()NAMED_UNIT(*)SI_UNIT(.MILLI.,.METRE.))",
          "deg", "UNIT('deg')",
          "1/min", "UNIT('1/min')",
          "kg", "UNIT('kg')");

  @Override
  public String data(CatalogueRelease release, CatalogueItem item) {
    StringBuilder data = new StringBuilder();
    data.append(
        "#1=ITEM(%s,%s,%s);\n"
            .formatted(
                ItemStatements.quoted(item.id()),
                ItemStatements.quoted(item.what()),
                ItemStatements.quoted(item.name())));
    Map<String, Integer> units = new HashMap<>();
    int next = 2;
    for (Map.Entry<String, CatalogueItem.Size> entry : item.sizes().entrySet()) {
      String unit = entry.getValue().unit();
      if (UNITS.containsKey(unit) && !units.containsKey(unit)) {
        data.append("#%d=%s;\n".formatted(next, UNITS.get(unit)));
        units.put(unit, next++);
      }
      data.append(
          "#%d=TOOL_PROPERTY('%s',#1,%s,%s,$);\n"
              .formatted(
                  next++,
                  id(entry.getKey()),
                  value(entry.getValue()),
                  units.containsKey(unit) ? "#" + units.get(unit) : "$"));
    }
    data.append("#%d=MODEL_REFERENCE(#1,'model','models/%s.stp');\n".formatted(next, item.id()));
    return data.toString();
  }

  private static String value(CatalogueItem.Size size) {
    return switch (size.unit()) {
      case "" -> ItemStatements.quoted(size.text());
      case "1" -> size.text();
      default -> ItemStatements.real(size);
    };
  }

  /** The id of a property with this vendor. */
  static String id(String property) {
    try {
      byte[] digest =
          MessageDigest.getInstance("SHA-256")
              .digest(("marram " + property).getBytes(StandardCharsets.UTF_8));
      return HexFormat.of().withUpperCase().formatHex(digest).substring(0, ID_LETTERS);
    } catch (NoSuchAlgorithmException impossible) {
      throw new IllegalStateException(impossible);
    }
  }

  /** The dictionary that explains the ids of a release. */
  static SortedMap<String, String> dictionary(CatalogueRelease release) {
    SortedMap<String, String> ids = new TreeMap<>();
    release.items().forEach(item -> item.sizes().keySet().forEach(name -> ids.put(id(name), name)));
    return ids;
  }
}
