package arborline.shop.dispatch;

import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.Map;

/**
 * Product structure: items with their properties and connections; an assembly with its parts, each
 * at its place.
 */
final class AssemblyStatements implements ItemStatements {

  private static final Map<String, String> UNITS =
      Map.of(
          "mm", "UNIT(.MILLI.,.METRE.)",
          "kg", "UNIT(.KILO.,.GRAM.)",
          "1/min", "NAMED_UNIT('1/min')",
          "N.m", "NAMED_UNIT('N.m')",
          "1", "NAMED_UNIT('1')");

  private static final class Numbered {
    private final StringBuilder data = new StringBuilder();
    private final Map<String, Integer> units = new HashMap<>();
    private int next = 10;

    private int add(String statement, Object... texts) {
      next += 5;
      data.append("#%d=%s;\n".formatted(next, statement.formatted(texts)));
      return next;
    }

    private String unit(String code) {
      if (!UNITS.containsKey(code)) {
        return "$";
      }
      if (!units.containsKey(code)) {
        units.put(code, add("%s", UNITS.get(code)));
      }
      return "#" + units.get(code);
    }
  }

  @Override
  public String data(CatalogueRelease release, CatalogueItem item) {
    Numbered file = new Numbered();
    int whole = item(file, item);
    if (item.assembly()) {
      usages(file, release, item, whole);
    }
    return file.data.toString();
  }

  private static int item(Numbered file, CatalogueItem item) {
    int number =
        file.add(
            "ITEM(%s,%s,%s)",
            ItemStatements.quoted(item.id()),
            ItemStatements.quoted(item.what()),
            ItemStatements.quoted(item.name()));
    item.sizes()
        .forEach((name, size) -> {
          switch (name) {
            case "CCMS" -> file.add("CONNECTION(#%d,'machine side','%s')", number, size.text());
            case "CCWS" -> file.add("CONNECTION(#%d,'workpiece side','%s')", number, size.text());
            default -> {
              String unit = file.unit(size.unit());
              String value =
                  switch (size.unit()) {
                    case "" -> ItemStatements.quoted(size.text());
                    case "1" -> size.text();
                    default -> ItemStatements.real(size);
                  };
              file.add("PROPERTY_VALUE(#%d,'%s',%s,%s,$)", number, name, value, unit);
            }
          }
        });
    if (!item.assembly() && !item.what().equals("collet")) {
      file.add("MODEL_REFERENCE(#%d,'model','models/%s.stp')", number, item.id());
    }
    return number;
  }

  private static void usages(
      Numbered file, CatalogueRelease release, CatalogueItem assembly, int whole) {
    Map<String, String> parts = new LinkedHashMap<>();
    for (String part : assembly.parts().split("; ")) {
      parts.put(part.split("@")[0], part.split("@")[1]);
    }
    String mm = file.unit("mm");
    int context =
        file.add(
            "(GEOMETRIC_REPRESENTATION_CONTEXT(3)GLOBAL_UNIT_ASSIGNED_CONTEXT((%s))REPRESENTATION_CONTEXT('','assembly'))",
            mm);
    int up = file.add("DIRECTION('',(0.,0.,1.))");
    int aside = file.add("DIRECTION('',(1.,0.,0.))");
    int use = 1;
    for (Map.Entry<String, String> part : parts.entrySet()) {
      CatalogueItem known =
          release.items().stream()
              .filter(item -> item.id().equals(part.getKey()))
              .findFirst()
              .orElseThrow();
      int number = item(file, known);
      String height = ItemStatements.real(new CatalogueItem.Size(part.getValue(), "mm"));
      int point = file.add("CARTESIAN_POINT('',(0.,0.,%s))", height);
      int place = file.add("AXIS2_PLACEMENT_3D('place %d',#%d,#%d,#%d)", use, point, up, aside);
      int shown = file.add("REPRESENTATION('position',(#%d),#%d)", place, context);
      file.add("ASSEMBLY_USAGE('%d',#%d,#%d,#%d)", use, whole, number, shown);
      use++;
    }
  }
}
