package arborline.server.inspection;

import arborline.core.exchange.CellsJson;
import arborline.core.exchange.ItemKind;
import arborline.core.exchange.PartReading;
import arborline.core.exchange.RawItem;
import arborline.core.library.Codes;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;
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
        .list()
        .stream()
        .forEach(line -> first.put(line.codeKey(), line));
    return first;
  }

  /**
   * More lines or tools with the same dimensions are no tool told twice: their values do not tell
   * them apart.
   */
  static final int MOST_ALIKE = 10;

  /**
   * A tool or a line that has the dimensions of another.
   *
   * @param position place of the line; null for a tool of the shop
   * @param where as {@code tool E-10 of the shop}
   */
  record Alike(long dimensionKey, @Nullable Long position, String codeKey, String where) {}

  /** Tools of the shop with these dimensions; of several the first and the last by code. */
  List<Alike> alike(Collection<Long> dimensionKeys) {
    List<Alike> found = new ArrayList<>();
    if (!dimensionKeys.isEmpty()) {
      found.addAll(alike("min", dimensionKeys));
      found.addAll(alike("max", dimensionKeys));
    }
    return found;
  }

  private List<Alike> alike(String which, Collection<Long> dimensionKeys) {
    return jdbc.sql(
            """
            select v.dimension_key, null as position, %1$s(t.code_key) as code_key,
              concat('tool ', %1$s(t.code), ' of the shop') as `where`
            from tool_version v join tool t on t.id = v.tool_id and t.version_id = v.id
              and t.merged_into is null
            where v.dimension_key in (:keys)
            group by v.dimension_key having count(*) <= :most\
            """
                .formatted(which))
        .param("keys", dimensionKeys)
        .param("most", MOST_ALIKE)
        .query(Alike.class)
        .list();
  }

  /** The lines at these places of a delivery. */
  List<Alike> linesAt(long deliveryId, Collection<Long> positions) {
    return positions.isEmpty()
        ? List.of()
        : jdbc.sql(
                """
                select l.dimension_key, l.position, l.code_key,
                  concat('line ', l.line_no, if(
                    (select count(*) from delivery_document d where d.delivery_id = :delivery) > 1,
                    concat(' of file ', l.file_no + 1), ''), ' (', l.code, ')') as `where`
                from delivery_line l
                where l.delivery_id = :delivery and l.position in (:positions)
                  and l.disposition <> 'SKIPPED' and l.dimension_key is not null\
                """)
            .param("delivery", deliveryId)
            .param("positions", positions)
            .query(Alike.class)
            .list();
  }

  /** Those of these inserts that the delivery or the shop has. */
  Set<String> inserts(long deliveryId, Collection<String> insertKeys) {
    return insertKeys.isEmpty()
        ? Set.of()
        : new HashSet<>(
            jdbc.sql(
                    """
                    select insert_key from delivery_line
                    where delivery_id = :delivery and kind = 'INSERT' and insert_key in (:keys)
                    union
                    select v.insert_key from tool_version v join tool t on t.id = v.tool_id and t.version_id = v.id
                    where v.insert_key in (:keys) and v.class_id = 'insert'\
                    """)
                .param("delivery", deliveryId)
                .param("keys", insertKeys)
                .query(String.class)
                .list());
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
