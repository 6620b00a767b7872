package arborline.server.inspection;

import arborline.server.delivery.LineRepository;
import java.util.List;
import java.util.stream.Stream;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * Judges anew the lines of a delivery whose code or dimensions an earlier line or the shop has as
 * well, and those with stacks, inserts or attachments, which may stand behind them.
 */
@Component
class LineClashes {

  private static final int BATCH = 1000;

  private final LineRepository lines;
  private final LineJudge judge;
  private final JdbcClient jdbc;
  private final JdbcTemplate template;
  private final TransactionTemplate transaction;

  LineClashes(
      LineRepository lines,
      LineJudge judge,
      JdbcClient jdbc,
      JdbcTemplate template,
      TransactionTemplate transaction) {
    this.lines = lines;
    this.judge = judge;
    this.jdbc = jdbc;
    this.template = template;
    this.transaction = transaction;
  }

  void judge(long deliveryId) {
    List<Long> twins = transaction.execute(status -> findTwins(deliveryId));
    List<Long> affected =
        Stream.concat(twins.stream(), affected(deliveryId).stream()).distinct().toList();
    for (int from = 0; from < affected.size(); from += BATCH) {
      List<Long> batch = affected.subList(from, Math.min(affected.size(), from + BATCH));
      transaction.executeWithoutResult(
          status -> judge.judge(deliveryId, lines.findByDeliveryIdAndIdIn(deliveryId, batch)));
    }
  }

  private record Twin(long id, long firstLine) {}

  /** Lines with the dimensions of an earlier one remember that one's place; those lines. */
  private List<Long> findTwins(long deliveryId) {
    List<Twin> twins =
        jdbc.sql(
                """
                select l.id, first.first_line
                from (select dimension_key, min(position) as first_line from delivery_line
                  where delivery_id = :delivery and dimension_key is not null
                  group by dimension_key having count(*) between 2 and :most) first
                straight_join delivery_line l
                  on l.delivery_id = :delivery and l.dimension_key = first.dimension_key
                  and l.position > first.first_line\
                """)
            .param("delivery", deliveryId)
            .param("most", DeliveryNeighbours.MOST_ALIKE)
            .query(Twin.class)
            .list();
    template.batchUpdate(
        "update delivery_line set twin_position = ? where id = ?",
        twins,
        BATCH,
        (statement, twin) -> {
          statement.setLong(1, twin.firstLine());
          statement.setLong(2, twin.id());
        });
    return twins.stream().map(Twin::id).toList();
  }

  private List<Long> affected(long deliveryId) {
    return jdbc.sql(
            """
            select l.id from delivery_line l join tool t on t.code_key = l.code_key
            where l.delivery_id = :delivery
            union
            select l.id from delivery_line l join held_code h on h.code_key = l.code_key
            where l.delivery_id = :delivery
            union
            select l.id from delivery_line l join component c on c.code_key = l.code_key
            where l.delivery_id = :delivery
            union
            select l.id
            from (select code_key, min(position) as first_line from delivery_line
              where delivery_id = :delivery and code_key <> ''
              group by code_key having count(*) > 1) twice
            straight_join delivery_line l
              on l.delivery_id = :delivery and l.code_key = twice.code_key
              and l.position > twice.first_line
            union
            select id from delivery_line where delivery_id = :delivery and looks_beyond
            union
            select l.id
            from (select v.dimension_key, min(t.code_key) as first_code,
                max(t.code_key) as last_code
              from (select distinct dimension_key from delivery_line
                where delivery_id = :delivery and dimension_key is not null) own
              straight_join tool_version v on v.dimension_key = own.dimension_key
              straight_join tool t on t.id = v.tool_id and t.version_id = v.id
                and t.merged_into is null
              group by v.dimension_key having count(*) <= :most) few
            straight_join delivery_line l
              on l.delivery_id = :delivery and l.dimension_key = few.dimension_key
              and (few.first_code <> l.code_key or few.last_code <> l.code_key)\
            """)
        .param("delivery", deliveryId)
        .param("most", DeliveryNeighbours.MOST_ALIKE)
        .query(Long.class)
        .list();
  }
}
