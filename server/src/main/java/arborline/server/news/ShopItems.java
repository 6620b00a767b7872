package arborline.server.news;

import arborline.core.stack.Component;
import arborline.core.tool.Tool;
import arborline.server.support.Json;
import arborline.server.tool.StoredTools;
import arborline.server.vendor.VendorItems.TakenItem;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What items of vendors are in the shop now. */
@Service
@Transactional(readOnly = true)
class ShopItems {

  private static final int BATCH = 1000;

  private final JdbcClient jdbc;
  private final Json json;

  ShopItems(JdbcClient jdbc, Json json) {
    this.jdbc = jdbc;
    this.json = json;
  }

  /** A tool, or a holder or another part. */
  record ShopItem(Optional<Tool> tool, Optional<Component> part) {}

  /** By the keys of the items; what is gone is left out. */
  Map<String, ShopItem> of(Collection<TakenItem> taken) {
    Map<Long, ShopItem> tools = new HashMap<>();
    Map<Long, ShopItem> parts = new HashMap<>();
    List<Long> toolIds = taken.stream().filter(TakenItem::tool).map(TakenItem::targetId).toList();
    List<Long> partIds =
        taken.stream().filter(item -> !item.tool()).map(TakenItem::targetId).toList();
    for (int from = 0; from < toolIds.size(); from += BATCH) {
      tools(toolIds.subList(from, Math.min(toolIds.size(), from + BATCH)), tools);
    }
    for (int from = 0; from < partIds.size(); from += BATCH) {
      parts(partIds.subList(from, Math.min(partIds.size(), from + BATCH)), parts);
    }
    Map<String, ShopItem> known = new HashMap<>();
    for (TakenItem item : taken) {
      ShopItem now = (item.tool() ? tools : parts).get(item.targetId());
      if (now != null) {
        known.put(item.itemKey(), now);
      }
    }
    return known;
  }

  private void tools(List<Long> ids, Map<Long, ShopItem> tools) {
    jdbc.sql(
            """
            select t.id, t.code, v.name, v.class_id, v.vals
            from tool t join tool_version v on v.id = t.version_id where t.id in (:ids)\
            """)
        .param("ids", ids)
        .query(row -> {
          tools.put(
              row.getLong("id"),
              new ShopItem(
                  Optional.of(
                      StoredTools.tool(
                          row.getString("code"),
                          row.getString("name"),
                          row.getString("class_id"),
                          row.getString("vals"))),
                  Optional.empty()));
        });
  }

  private void parts(List<Long> ids, Map<Long, ShopItem> parts) {
    jdbc.sql("select id, definition from component where id in (:ids)")
        .param("ids", ids)
        .query(row -> {
          parts.put(
              row.getLong("id"),
              new ShopItem(
                  Optional.empty(),
                  Optional.of(json.read(row.getString("definition"), Component.class))));
        });
  }
}
