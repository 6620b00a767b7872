package arborline.server.proposal;

import arborline.server.account.MayEdit;
import arborline.server.account.MayPropose;
import arborline.server.proposal.ProposalViews.ProposalHead;
import arborline.server.proposal.ProposalViews.ProposalView;
import arborline.server.support.Retried;
import arborline.server.support.Slice;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Changes that somebody proposes. */
@RestController
@RequestMapping("/api/v1/proposals")
class ProposalController {

  private final Proposals proposals;
  private final CollectedChanges collected;

  ProposalController(Proposals proposals, CollectedChanges collected) {
    this.proposals = proposals;
    this.collected = collected;
  }

  @GetMapping
  Slice<ProposalHead> all() {
    return Slice.all(proposals.all());
  }

  @PostMapping
  @MayPropose
  @ResponseStatus(HttpStatus.CREATED)
  ProposalView propose(@RequestBody ProposalOrder order) {
    return proposals.propose(order);
  }

  @GetMapping("/{id}")
  ProposalView one(@PathVariable long id) {
    return proposals.get(id);
  }

  /**
   * The answer to a proposal.
   *
   * @param take changes that are taken; the others are declined
   */
  record ProposalAnswer(@Nullable List<Proposals.TakenChange> take, @Nullable String words) {}

  @PostMapping("/{id}/answer")
  @MayEdit
  ProposalView answer(@PathVariable long id, @RequestBody ProposalAnswer answer) {
    List<Proposals.TakenChange> take = Optional.ofNullable(answer.take()).orElse(List.of());
    return Retried.of(() -> proposals.answer(id, take, answer.words()));
  }

  /** Puts changes with those that whoever asks collects for a library, and proposes later. */
  @PostMapping("/collected")
  @MayPropose
  ProposalView collect(@RequestBody CollectedOrder order) {
    return Retried.of(() -> collected.collect(order.library(), order.changes()));
  }

  /** Changes to be collected for a library. */
  record CollectedOrder(long library, List<ProposalOrder.ChangeOrder> changes) {}

  /** Takes one out of those that are collected. */
  @DeleteMapping("/{id}/changes/{place}")
  @MayPropose
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void takeOut(@PathVariable long id, @PathVariable int place) {
    Retried.of(() -> {
      collected.takeOut(id, place);
      return true;
    });
  }

  /** Gives up what is collected. */
  @DeleteMapping("/{id}")
  @MayPropose
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void discard(@PathVariable long id) {
    Retried.of(() -> {
      collected.discard(id);
      return true;
    });
  }

  /** Proposes what is collected. */
  @PostMapping("/{id}/propose")
  @MayPropose
  ProposalView proposeCollected(@PathVariable long id, @RequestBody ProposalReason reason) {
    return Retried.of(() -> collected.propose(id, reason.reason()));
  }

  /** Why it is proposed. */
  record ProposalReason(String reason) {}

  @PostMapping("/{id}/withdraw")
  @MayPropose
  ProposalView withdraw(@PathVariable long id) {
    return proposals.withdraw(id);
  }

  /** Whoever made it has seen the answer. */
  @PostMapping("/{id}/seen")
  @MayPropose
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void seen(@PathVariable long id) {
    proposals.seen(id);
  }
}
