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

  ProposalController(Proposals proposals) {
    this.proposals = proposals;
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
