package arborline.server.table;

import arborline.core.table.TableChange;
import arborline.core.table.TableField;
import arborline.server.support.Slice;
import java.sql.Timestamp;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/** What became different at controls, when that was seen, and who wrote it. */
@Component
class TableHistory {

  private static final int LONGEST = 300;
  private static final int SHOWN = 200;

  private final JdbcClient jdbc;

  TableHistory(JdbcClient jdbc) {
    this.jdbc = jdbc;
  }

  /**
   * One change.
   *
   * @param was in the control's terms; null where it was not set
   * @param became in the control's terms; null where it is not set
   * @param unchangedAt when it was last seen as it was
   * @param seenAt when it was first seen as it became
   * @param by who wrote it from here; null where it was changed at the machine
   */
  record ControlChange(
      long id,
      String place,
      String field,
      String title,
      @Nullable String was,
      @Nullable String became,
      Instant unchangedAt,
      Instant seenAt,
      @Nullable String by) {}

  /**
   * Records what became different.
   *
   * @param sent what was sent meanwhile: a change that is one of these rows is his who sent it
   */
  void record(
      String machineId,
      List<TableChange> changes,
      Instant unchanged,
      Instant seen,
      List<TableWrites.SentRow> sent) {
    Map<String, List<TableWrites.SentRow>> byPlace =
        sent.stream().collect(Collectors.groupingBy(TableWrites.SentRow::place));
    for (TableChange change : changes) {
      jdbc.sql(
              """
              insert into table_change (machine_id, place, field, was, became, unchanged_at,
                seen_at, written_by) values (?, ?, ?, ?, ?, ?, ?, ?)\
              """)
          .params(
              machineId,
              change.place(),
              change.field().id(),
              cut(change.was()),
              cut(change.became()),
              Timestamp.from(unchanged),
              Timestamp.from(seen),
              sender(change, byPlace.getOrDefault(change.place(), List.of())))
          .update();
    }
  }

  private static @Nullable String sender(TableChange change, List<TableWrites.SentRow> sent) {
    return sent.stream()
        .filter(row -> change.became(row.target()))
        .findFirst()
        .map(TableWrites.SentRow::by)
        .orElse(null);
  }

  private static @Nullable String cut(@Nullable String text) {
    return text == null || text.length() <= LONGEST ? text : text.substring(0, LONGEST);
  }

  /**
   * The last changes, the newest first.
   *
   * @param place null for all places
   * @param below the id below which they are; null for the newest
   */
  Slice<ControlChange> latest(String machineId, @Nullable String place, @Nullable Long below) {
    List<ControlChange> read =
        jdbc.sql(
                """
                select id, place, field, was, became, unchanged_at, seen_at, written_by
                from table_change
                where machine_id = :machine and (:place is null or place = :place)
                  and (:below is null or id < :below)
                order by id desc limit %d\
                """
                    .formatted(SHOWN + 1))
            .param("machine", machineId)
            .param("place", place)
            .param("below", below)
            .query((row, index) -> {
              TableField field = TableField.valueOf(row.getString("field"));
              return new ControlChange(
                  row.getLong("id"),
                  row.getString("place"),
                  field.key(),
                  field.title(),
                  row.getString("was"),
                  row.getString("became"),
                  row.getTimestamp("unchanged_at").toInstant(),
                  row.getTimestamp("seen_at").toInstant(),
                  row.getString("written_by"));
            })
            .list();
    return Slice.cut(read, SHOWN, change -> Long.toString(change.id()));
  }
}
