package arborline.server.table;

import arborline.core.table.ControlFile;
import arborline.core.table.TableEntry;
import arborline.server.account.Actor;
import arborline.server.support.Json;
import java.sql.Timestamp;
import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/**
 * Records what is written to controls: the intention before, each file and its answer as it comes,
 * the outcome after. Every step is a transaction of its own, so that whatever dies, the page knows
 * what was sent.
 */
@Component
@Transactional(propagation = Propagation.REQUIRES_NEW)
class TableWrites {

  private static final int LONGEST_ANSWER = 1000;
  private static final int SHOWN = 20;

  /** So many rows as the largest table has. */
  private static final int ROWS_SENT = 10_000;

  static final String SENDING = "sending";
  private static final String UNFINISHED = "unfinished";

  private final JdbcClient jdbc;
  private final Json json;
  private final Clock clock;

  TableWrites(JdbcClient jdbc, Json json, Clock clock) {
    this.jdbc = jdbc;
    this.json = json;
    this.clock = clock;
  }

  /**
   * One file of a writing.
   *
   * @param sentAt when it was begun to be sent; null where it never was
   * @param answer what the control said; null where it did not answer
   */
  record SentFile(
      String name,
      String content,
      @Nullable Instant sentAt,
      @Nullable Instant answeredAt,
      @Nullable String answer) {}

  /**
   * A writing to a control.
   *
   * @param state {@code sending}, {@code in step}, {@code interrupted}, {@code not read back} or
   *     {@code unfinished}: the server died while it was sending
   */
  record Writing(
      long id,
      Instant begunAt,
      @Nullable Instant endedAt,
      String by,
      String state,
      @Nullable String problem,
      List<SentFile> files) {}

  /** Ends what a server that died left open: nobody else writes to this control now. */
  void endUnfinished(String machineId) {
    jdbc.sql("update table_write set state = ?, ended_at = ? where machine_id = ? and state = ?")
        .params(UNFINISHED, Timestamp.from(Instant.now(clock)), machineId, SENDING)
        .update();
  }

  /**
   * A row that was sent, or is being sent.
   *
   * @param target everything that the control should hold of the place then, in its own terms
   */
  record SentRow(String place, String by, TableEntry target) {}

  /** Records what is about to be sent. */
  long intend(String machineId, List<ControlFile> files, TableWriting.Intention intention) {
    jdbc.sql(
            """
            insert into table_write (machine_id, begun_at, written_by, state, content)
            values (?, ?, ?, ?, ?)\
            """)
        .params(
            machineId,
            Timestamp.from(Instant.now(clock)),
            Actor.name(),
            SENDING,
            json.text(intention))
        .update();
    long id = jdbc.sql("select last_insert_id()").query(Long.class).single();
    for (int fileNo = 0; fileNo < files.size(); fileNo++) {
      jdbc.sql(
              "insert into table_write_file (write_id, file_no, name, content) values (?, ?, ?, ?)")
          .params(id, fileNo, files.get(fileNo).name(), files.get(fileNo).content())
          .update();
    }
    intention.outcomes().stream()
        .flatMap(outcome -> outcome.write().stream())
        .forEach(row ->
            jdbc.sql("insert into table_write_place (write_id, place, fields) values (?, ?, ?)")
                .params(id, row.place(), json.text(row.target()))
                .update());
    return id;
  }

  /** What was sent to a control by writings that had not ended at a time, the last one first. */
  @Transactional(propagation = Propagation.REQUIRED, readOnly = true)
  List<SentRow> sentSince(String machineId, Instant since) {
    return jdbc.sql(
            """
            select place, written_by, fields from table_write join table_write_place on write_id = id
            where machine_id = ? and (ended_at is null or ended_at >= ?)
              and exists (select 1 from table_write_file file
                where file.write_id = id and file.sent_at is not null)
            order by id desc limit %d\
            """
                .formatted(ROWS_SENT))
        .params(machineId, Timestamp.from(since))
        .query((row, index) ->
            new SentRow(
                row.getString("place"),
                row.getString("written_by"),
                json.read(row.getString("fields"), TableEntry.class)))
        .list();
  }

  void sending(long writeId, int fileNo) {
    jdbc.sql("update table_write_file set sent_at = ? where write_id = ? and file_no = ?")
        .params(Timestamp.from(Instant.now(clock)), writeId, fileNo)
        .update();
  }

  void answered(long writeId, int fileNo, String answer) {
    jdbc.sql(
            "update table_write_file set answered_at = ?, answer = ?"
                + " where write_id = ? and file_no = ?")
        .params(Timestamp.from(Instant.now(clock)), cut(answer), writeId, fileNo)
        .update();
  }

  /** Records how a writing ended. */
  @Transactional(propagation = Propagation.REQUIRED)
  void ended(long writeId, String state, @Nullable String problem) {
    jdbc.sql("update table_write set state = ?, ended_at = ?, problem = ? where id = ?")
        .params(
            state,
            Timestamp.from(Instant.now(clock)),
            problem == null ? null : cut(problem),
            writeId)
        .update();
  }

  private static String cut(String text) {
    return text.length() > LONGEST_ANSWER ? text.substring(0, LONGEST_ANSWER) : text;
  }

  /** The last writings to a control, the newest first; one that nobody sends any more has ended. */
  @Transactional(readOnly = true)
  List<Writing> latest(String machineId) {
    boolean claimed =
        jdbc.sql("select count(*) from table_claim where machine_id = ? and until > ?")
                .params(machineId, Timestamp.from(Instant.now(clock)))
                .query(Integer.class)
                .single()
            > 0;
    return jdbc.sql(
            """
            select id, begun_at, ended_at, written_by, state, problem from table_write
            where machine_id = ? order by id desc limit %d\
            """
                .formatted(SHOWN))
        .param(machineId)
        .query((row, index) ->
            new Writing(
                row.getLong("id"),
                row.getTimestamp("begun_at").toInstant(),
                instant(row.getTimestamp("ended_at")),
                row.getString("written_by"),
                claimed || !row.getString("state").equals(SENDING)
                    ? row.getString("state")
                    : UNFINISHED,
                row.getString("problem"),
                files(row.getLong("id"))))
        .list();
  }

  private List<SentFile> files(long writeId) {
    return jdbc.sql(
            """
            select name, content, sent_at, answered_at, answer from table_write_file
            where write_id = ? order by file_no\
            """)
        .param(writeId)
        .query((row, index) ->
            new SentFile(
                row.getString("name"),
                row.getString("content"),
                instant(row.getTimestamp("sent_at")),
                instant(row.getTimestamp("answered_at")),
                row.getString("answer")))
        .list();
  }

  private static @Nullable Instant instant(@Nullable Timestamp time) {
    return Optional.ofNullable(time).map(Timestamp::toInstant).orElse(null);
  }
}
