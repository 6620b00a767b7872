package arborline.server.proposal;

import arborline.server.proposal.ProposalViews.Answer;
import arborline.server.proposal.ProposalViews.State;
import arborline.server.proposal.ProposalViews.Touched;
import arborline.server.support.Json;
import arborline.server.support.Refusal;
import arborline.server.tool.ToolDraft;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Timestamp;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/** Proposals in the database. */
@Component
class ProposalStore {

  private static final int MOST = 500;
  private static final String HEAD =
      """
      select p.*, b.name as library,
        (select count(*) from proposal_change c where c.proposal_id = p.id) as changes,
        (select count(*) from proposal_change c
          where c.proposal_id = p.id and c.answer = 'TAKEN') as taken
      from proposal p join library b on b.id = p.library_id and b.put_away_at is null\
      """;

  private final JdbcClient jdbc;
  private final Json json;

  ProposalStore(JdbcClient jdbc, Json json) {
    this.jdbc = jdbc;
    this.json = json;
  }

  /** A proposal as it is stored. */
  record Stored(
      long id,
      long libraryId,
      String library,
      String reason,
      State state,
      String madeBy,
      Instant madeAt,
      @Nullable String answeredBy,
      @Nullable Instant answeredAt,
      String words,
      boolean seen,
      int changes,
      int taken) {}

  /** A change as it is stored. */
  record StoredChange(
      int place,
      ProposalOrder.Kind kind,
      @Nullable Long toolId,
      int base,
      @Nullable ToolDraft draft,
      @Nullable Answer answer) {}

  private static Stored stored(ResultSet row, int index) throws SQLException {
    return new Stored(
        row.getLong("id"),
        row.getLong("library_id"),
        row.getString("library"),
        row.getString("reason"),
        State.valueOf(row.getString("state")),
        row.getString("made_by"),
        row.getTimestamp("made_at").toInstant(),
        row.getString("answered_by"),
        Optional.ofNullable(row.getTimestamp("answered_at")).map(Timestamp::toInstant).orElse(null),
        row.getString("words"),
        row.getBoolean("answer_seen"),
        row.getInt("changes"),
        row.getInt("taken"));
  }

  Stored get(long id) {
    return jdbc.sql(HEAD + " where p.id = ?")
        .param(id)
        .query(ProposalStore::stored)
        .optional()
        .orElseThrow(() -> Refusal.notFound("there is no proposal " + id));
  }

  /** Open ones first, the newest of each first. */
  List<Stored> all() {
    return jdbc.sql(
            HEAD + " order by p.state in ('OPEN', 'COLLECTED') desc, p.id desc limit " + MOST)
        .query(ProposalStore::stored)
        .list();
  }

  List<StoredChange> changes(long proposal) {
    return jdbc.sql("select * from proposal_change where proposal_id = ? order by place")
        .param(proposal)
        .query((row, index) -> {
          long tool = row.getLong("tool_id");
          Long toolId = row.wasNull() ? null : tool;
          String draft = row.getString("draft");
          String answer = row.getString("answer");
          return new StoredChange(
              row.getInt("place"),
              ProposalOrder.Kind.valueOf(row.getString("kind")),
              toolId,
              row.getInt("base_version"),
              draft == null ? null : json.read(draft, ToolDraft.class),
              answer == null ? null : Answer.valueOf(answer));
        })
        .list();
  }

  void add(long id, long library, String reason, String by, Instant at) {
    jdbc.sql(
            """
            insert into proposal (id, library_id, reason, state, made_by, made_at)
            values (?, ?, ?, 'OPEN', ?, ?)\
            """)
        .params(id, library, reason, by, Timestamp.from(at))
        .update();
  }

  /**
   * What somebody collects for a library, begun under the given id where there is nothing yet; held
   * until the end of the transaction.
   */
  long collection(long id, long library, String by, Instant at) {
    jdbc.sql(
            """
            insert into proposal (id, library_id, reason, state, made_by, made_at)
            values (?, ?, '', 'COLLECTED', ?, ?) on duplicate key update made_at = values(made_at)\
            """)
        .params(id, library, by, Timestamp.from(at))
        .update();
    return jdbc.sql(
            """
            select id from proposal where library_id = ? and made_by = ? and state = 'COLLECTED'
            for update\
            """)
        .params(library, by)
        .query(Long.class)
        .single();
  }

  /** Holds a proposal until the end of the transaction. */
  void lock(long id) {
    jdbc.sql("select id from proposal where id = ? for update").param(id).query(Long.class).list();
  }

  /** Shows what was collected to those who answer. */
  void open(long id, String reason, Instant at) {
    jdbc.sql("update proposal set state = 'OPEN', reason = ?, made_at = ? where id = ?")
        .params(reason, Timestamp.from(at), id)
        .update();
  }

  /** Takes a change out; false where there is none. */
  boolean remove(long proposal, int place) {
    return jdbc.sql("delete from proposal_change where proposal_id = ? and place = ?")
            .params(proposal, place)
            .update()
        > 0;
  }

  void delete(long id) {
    jdbc.sql("delete from proposal_change where proposal_id = ?").param(id).update();
    jdbc.sql("delete from proposal where id = ?").param(id).update();
  }

  void add(long proposal, StoredChange change) {
    jdbc.sql(
            """
            insert into proposal_change (proposal_id, place, kind, tool_id, base_version, draft)
            values (?, ?, ?, ?, ?, ?)\
            """)
        .params(
            proposal,
            change.place(),
            change.kind().name(),
            change.toolId(),
            change.base(),
            change.draft() == null ? null : json.text(change.draft()))
        .update();
  }

  /** Ends an open proposal; false where somebody else did meanwhile. */
  boolean end(long id, State state, String by, Instant at, String words) {
    return jdbc.sql(
                """
                update proposal
                set state = ?, answered_by = ?, answered_at = ?, words = ?
                where id = ? and state = 'OPEN'\
                """)
            .params(state.name(), by, Timestamp.from(at), words, id)
            .update()
        > 0;
  }

  void answer(long proposal, int place, Answer answer) {
    jdbc.sql("update proposal_change set answer = ? where proposal_id = ? and place = ?")
        .params(answer.name(), proposal, place)
        .update();
  }

  void seen(long id) {
    jdbc.sql("update proposal set answer_seen = true where id = ?").param(id).update();
  }

  /** True where a library holds a tool. */
  boolean holds(long library, long tool) {
    return jdbc.sql("select count(*) from entry where library_id = ? and tool_id = ?")
            .params(library, tool)
            .query(Integer.class)
            .single()
        > 0;
  }

  /** What a change of a tool would touch. */
  Touched touched(long tool) {
    return new Touched(
        jdbc.sql(
                """
                select distinct m.name from plan_place p join machine m on m.id = p.machine_id
                where p.tool_id = ? order by m.name\
                """)
            .param(tool)
            .query(String.class)
            .list(),
        jdbc.sql(
                """
                select b.name from entry e join library b on b.id = e.library_id
                where e.tool_id = ? and not e.pinned and b.sharing <> 'PRIVATE' order by b.name\
                """)
            .param(tool)
            .query(String.class)
            .list(),
        jdbc.sql("select count(*) from stack where tool_id = ?")
            .param(tool)
            .query(Long.class)
            .single());
  }
}
