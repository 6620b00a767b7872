package arborline.server.table;

import arborline.core.table.Decision;
import arborline.core.table.DecisionRules;
import arborline.core.table.Why;
import arborline.server.account.Actor;
import arborline.server.account.Permission;
import arborline.server.live.Live;
import arborline.server.machine.Machines;
import arborline.server.support.Refusal;
import arborline.server.trail.Trail;
import arborline.server.trail.TrailRecord;
import arborline.server.trail.Undo;
import arborline.server.trail.UndoKind;
import java.sql.Timestamp;
import java.time.Clock;
import java.time.Instant;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What was decided once for all about places of a machine. */
@Service
class TableRules implements Undo<TableRules.RuleChange> {

  private static final UndoKind<RuleChange> KIND =
      new UndoKind<>("machine.table-rule", 1, RuleChange.class, Permission.EDIT);

  private final Machines machines;
  private final JdbcClient jdbc;
  private final Trail trail;
  private final Live live;
  private final Clock clock;

  TableRules(Machines machines, JdbcClient jdbc, Trail trail, Live live, Clock clock) {
    this.machines = machines;
    this.jdbc = jdbc;
    this.trail = trail;
    this.live = live;
    this.clock = clock;
  }

  /** A rule before a change and after it; null for none. */
  record RuleChange(
      String machine, Why question, @Nullable Decision before, @Nullable Decision after) {}

  /** One rule. */
  record Rule(Why question, Decision decision, String by, Instant at) {}

  /** The rules of a machine, as questions are asked. */
  @Transactional(readOnly = true)
  public List<Rule> of(String machineId) {
    return jdbc.sql(
            "select question, decision, made_by, made_at from table_rule where machine_id = ?"
                + " order by question")
        .param(machineId)
        .query((row, index) ->
            new Rule(
                Why.valueOf(row.getString("question")),
                Decision.valueOf(row.getString("decision")),
                row.getString("made_by"),
                row.getTimestamp("made_at").toInstant()))
        .list();
  }

  /** What they answer. */
  @Transactional(readOnly = true)
  public Map<Why, Decision> answers(String machineId) {
    Map<Why, Decision> answers = new EnumMap<>(Why.class);
    of(machineId).forEach(rule -> answers.put(rule.question(), rule.decision()));
    return answers;
  }

  /**
   * Decides once for all, or asks again.
   *
   * @param decision null to be asked again
   * @return what takes it back
   */
  @Transactional
  long decide(String machineId, Why question, @Nullable Decision decision) {
    Machines.Linked machine = machines.lock(machineId);
    String words =
        DecisionRules.question(question)
            .filter(asked -> decision == null || DecisionRules.answerable(question, decision))
            .orElseThrow(() ->
                Refusal.badRequest(
                    "%s cannot be decided once for all: look at each place"
                        .formatted(question.code())));
    Decision before = answers(machineId).get(question);
    if (before == decision) {
      throw Refusal.conflict(
          decision == null ? "there is no such rule any more" : "this is the rule already");
    }
    put(machineId, question, decision);
    return trail.record(
        TrailRecord.of(
                "machine",
                machineId,
                "%s, whenever %s: %s"
                    .formatted(
                        machine.machine().name(),
                        words,
                        decision == null ? "ask again" : TableWords.decision(decision)))
            .undoneBy(KIND, new RuleChange(machineId, question, before, decision)));
  }

  private void put(String machineId, Why question, @Nullable Decision decision) {
    if (decision == null) {
      jdbc.sql("delete from table_rule where machine_id = ? and question = ?")
          .params(machineId, question.name())
          .update();
    } else {
      jdbc.sql(
              "replace into table_rule (machine_id, question, decision, made_by, made_at)"
                  + " values (?, ?, ?, ?, ?)")
          .params(
              machineId,
              question.name(),
              decision.name(),
              Actor.name(),
              Timestamp.from(Instant.now(clock)))
          .update();
    }
    live.say("machine", machineId, "table rule");
  }

  @Override
  public UndoKind<RuleChange> kind() {
    return KIND;
  }

  @Override
  public void takeBack(RuleChange change) {
    machines.lock(change.machine());
    Decision now = answers(change.machine()).get(change.question());
    if (!Objects.equals(now, change.after())) {
      throw Refusal.conflict("the rule was changed since; take that back first");
    }
    put(change.machine(), change.question(), change.before());
  }
}
