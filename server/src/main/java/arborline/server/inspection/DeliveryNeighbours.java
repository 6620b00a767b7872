package arborline.server.inspection;

import arborline.core.exchange.CellsJson;
import arborline.core.exchange.ItemKind;
import arborline.core.exchange.PartReading;
import arborline.core.exchange.RawItem;
import arborline.core.library.Codes;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/** What else stands in a delivery: earlier lines with a code, and parts. */
@Component
class DeliveryNeighbours {

  private static final String PARTS = "('HOLDER', 'EXTENSION', 'COLLET', 'ARBOR', 'AGGREGATE')";

  private final JdbcClient jdbc;

  DeliveryNeighbours(JdbcClient jdbc) {
    this.jdbc = jdbc;
  }

  /** The first line with a code. */
  record FirstLine(
      String codeKey, boolean part, long position, long lineNo, int fileNo, String name) {

    /** Where it is, for somebody who looks at a line of a file. */
    String seenFrom(int file) {
      return fileNo == file ? "line " + lineNo : "line %d of %s".formatted(lineNo, name);
    }
  }

  /** First lines by code key, those of tools and of parts apart. */
  Map<String, FirstLine> firstLines(long deliveryId, Collection<String> keys, boolean parts) {
    Map<String, FirstLine> first = new HashMap<>();
    if (keys.isEmpty()) {
      return first;
    }
    String kinds = parts ? PARTS : "('CUTTER', 'INSERT')";
    jdbc
        .sql(
            """
            select l.code_key, %s as part, l.position, l.line_no, l.file_no, d.name
            from delivery_line l
            join (select code_key, min(position) as position from delivery_line
              where delivery_id = :delivery and code_key in (:keys) and disposition <> 'SKIPPED'
                and kind in %s
              group by code_key) f on f.position = l.position
            join delivery_document d on d.delivery_id = l.delivery_id and d.file_no = l.file_no
            where l.delivery_id = :delivery\
            """
                .formatted(parts, kinds))
        .param("delivery", deliveryId)
        .param("keys", keys)
        .query(FirstLine.class)
        .stream()
        .forEach(line -> first.put(line.codeKey(), line));
    return first;
  }

  /** Parts of the delivery that may enter, by code key. */
  Map<String, arborline.core.stack.Component> parts(long deliveryId, Collection<String> keys) {
    Map<String, arborline.core.stack.Component> parts = new HashMap<>();
    if (keys.isEmpty()) {
      return parts;
    }
    jdbc.sql(
            """
            select code_key, kind, cells from delivery_line
            where delivery_id = :delivery and code_key in (:keys) and kind in %s
              and disposition in ('PASS', 'QUERY') order by position desc\
            """
                .formatted(PARTS))
        .param("delivery", deliveryId)
        .param("keys", keys)
        .query(row -> {
          parts.put(
              row.getString("code_key"),
              part(ItemKind.valueOf(row.getString("kind")), row.getString("cells")));
        });
    return parts;
  }

  private static arborline.core.stack.Component part(ItemKind kind, String cells) {
    return PartReading.interpret(
            new RawItem(0, kind, CellsJson.fromText(cells), List.of()),
            kind.component().orElseThrow())
        .component();
  }

  /** True where the delivery or the shop has the code already. */
  boolean used(long deliveryId, String code) {
    return jdbc.sql(
            """
            select exists(select 1 from tool where code_key = :key)
              or exists(select 1 from held_code where code_key = :key)
              or exists(select 1 from component where code_key = :key)
              or exists(select 1 from delivery_line
                where delivery_id = :delivery and code_key = :key)\
            """)
        .param("key", Codes.key(code))
        .param("delivery", deliveryId)
        .query(Boolean.class)
        .single();
  }
}
