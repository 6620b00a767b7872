package arborline.shop.dispatch;

import java.util.List;
import java.util.stream.Collectors;

/** One flat record: equal lists of names, values and units, all as texts. */
final class ListStatements implements ItemStatements {

  @Override
  public String data(CatalogueRelease release, CatalogueItem item) {
    List<String> names = List.copyOf(item.sizes().keySet());
    List<CatalogueItem.Size> values = List.copyOf(item.sizes().values());
    return "#1 = TOOL_RECORD(%s, %s, %s,\n  %s,\n  %s,\n  %s,\n  (%s));\n"
        .formatted(
            ItemStatements.quoted(item.id()),
            ItemStatements.quoted(item.name()),
            ItemStatements.quoted(item.what()),
            list(names),
            list(values.stream().map(CatalogueItem.Size::text).toList()),
            list(values.stream().map(ListStatements::unit).toList()),
            ItemStatements.quoted("pictures/%s.png".formatted(item.id())));
  }

  private static String unit(CatalogueItem.Size size) {
    return size.unit().equals("1") ? "" : size.unit().equals("N.m") ? "Nm" : size.unit();
  }

  private static String list(List<String> texts) {
    return texts.stream().map(ItemStatements::quoted).collect(Collectors.joining(", ", "(", ")"));
  }
}
