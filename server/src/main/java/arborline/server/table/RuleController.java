package arborline.server.table;

import arborline.core.table.Decision;
import arborline.core.table.DecisionRules;
import arborline.server.account.MayEdit;
import arborline.server.machine.Machines;
import arborline.server.support.Refusal;
import arborline.server.support.Slice;
import java.time.Instant;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** What is decided once for all about places of a machine. */
@RestController
@RequestMapping("/api/v1/machines/{id}/table/rules")
class RuleController {

  private final Machines machines;
  private final TableRules rules;

  RuleController(Machines machines, TableRules rules) {
    this.machines = machines;
    this.rules = rules;
  }

  /**
   * One rule.
   *
   * @param question stable name of what it answers
   * @param words the same in words
   */
  record RuleView(String question, String words, String decision, String by, Instant at) {}

  /** How a question is answered. */
  record RuleOrder(@Nullable String decision) {}

  record RuleDone(long undo) {}

  @GetMapping
  Slice<RuleView> all(@PathVariable String id) {
    return Slice.all(
        rules.of(machines.get(id).machine().id()).stream()
            .map(rule ->
                new RuleView(
                    rule.question().code(),
                    DecisionRules.question(rule.question()).orElse(rule.question().code()),
                    TableWords.decision(rule.decision()),
                    rule.by(),
                    rule.at()))
            .toList());
  }

  /** Decides once for all what is done wherever a question comes up. */
  @PutMapping("/{question}")
  @MayEdit
  RuleDone decide(
      @PathVariable String id, @PathVariable String question, @RequestBody RuleOrder order) {
    if (order.decision() == null) {
      throw Refusal.badRequest("decision: say send, send zero wear or take");
    }
    Decision decision = TableWords.decision("decision", order.decision());
    return new RuleDone(rules.decide(id, TableWords.question(question), decision));
  }

  /** Asks again. */
  @DeleteMapping("/{question}")
  @MayEdit
  RuleDone askAgain(@PathVariable String id, @PathVariable String question) {
    return new RuleDone(rules.decide(id, TableWords.question(question), null));
  }
}
