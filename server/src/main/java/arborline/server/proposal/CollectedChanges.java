package arborline.server.proposal;

import arborline.core.sharing.LibraryRight;
import arborline.server.account.Actor;
import arborline.server.live.Live;
import arborline.server.proposal.ProposalOrder.ChangeOrder;
import arborline.server.proposal.ProposalOrder.Kind;
import arborline.server.proposal.ProposalStore.Stored;
import arborline.server.proposal.ProposalStore.StoredChange;
import arborline.server.proposal.ProposalViews.ProposalView;
import arborline.server.proposal.ProposalViews.State;
import arborline.server.right.LibraryGuard;
import arborline.server.support.Ids;
import arborline.server.support.Refusal;
import arborline.server.tool.ToolDraft;
import arborline.server.trail.Trail;
import arborline.server.trail.TrailRecord;
import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Isolation;
import org.springframework.transaction.annotation.Transactional;

/**
 * Changes that somebody collects before he proposes them together. He has one collection in each
 * library, which nobody else sees.
 */
@Service
class CollectedChanges {

  private final ProposalStore store;
  private final Proposals proposals;
  private final ChangeChecks checks;
  private final LibraryGuard guard;
  private final Ids ids;
  private final Trail trail;
  private final Live live;
  private final Clock clock;

  CollectedChanges(
      ProposalStore store,
      Proposals proposals,
      ChangeChecks checks,
      LibraryGuard guard,
      Ids ids,
      Trail trail,
      Live live,
      Clock clock) {
    this.store = store;
    this.proposals = proposals;
    this.checks = checks;
    this.guard = guard;
    this.ids = ids;
    this.trail = trail;
    this.live = live;
    this.clock = clock;
  }

  /**
   * Puts changes with those that were collected before. A change of a tool that is among them
   * already replaces the one before, and so does a new tool of the same code.
   */
  @Transactional(isolation = Isolation.READ_COMMITTED)
  ProposalView collect(long library, @Nullable List<ChangeOrder> changes) {
    guard.need(library, LibraryRight.PROPOSE);
    List<ChangeOrder> given = ChangeChecks.some(changes);
    long id = store.collection(ids.next("proposal"), library, Actor.name(), Instant.now(clock));
    List<StoredChange> before = store.changes(id);
    int place = before.stream().mapToInt(StoredChange::place).max().orElse(0);
    for (ChangeOrder order : given) {
      StoredChange change = checks.checked(library, order, ++place);
      before.stream()
          .filter(one -> same(one, change))
          .forEach(one -> store.remove(id, one.place()));
      store.add(id, change);
    }
    if (store.changes(id).size() > ChangeChecks.MOST_CHANGES) {
      throw Refusal.conflict(
          "a proposal has at most %d changes; propose those that are collected first"
              .formatted(ChangeChecks.MOST_CHANGES));
    }
    live.say("proposal", id, "");
    return proposals.get(id);
  }

  private static boolean same(StoredChange one, StoredChange other) {
    if (one.kind() == Kind.NEW && other.kind() == Kind.NEW) {
      return code(one).equals(code(other));
    }
    return one.toolId() != null && one.toolId().equals(other.toolId());
  }

  private static String code(StoredChange change) {
    return Optional.ofNullable(change.draft()).map(ToolDraft::code).orElse("").strip();
  }

  /** Takes one change out; with the last one the collection is gone. */
  @Transactional(isolation = Isolation.READ_COMMITTED)
  void takeOut(long id, int place) {
    own(id);
    if (!store.remove(id, place)) {
      throw Refusal.notFound("change %d is not among those that are collected".formatted(place));
    }
    if (store.changes(id).isEmpty()) {
      store.delete(id);
    }
    live.say("proposal", id, "");
  }

  /** Gives all of them up. */
  @Transactional(isolation = Isolation.READ_COMMITTED)
  void discard(long id) {
    own(id);
    store.delete(id);
    live.say("proposal", id, "");
  }

  /** Proposes them together; refused where one could not be taken as things are now. */
  @Transactional(isolation = Isolation.READ_COMMITTED)
  ProposalView propose(long id, @Nullable String reason) {
    Stored one = own(id);
    guard.need(one.libraryId(), LibraryRight.PROPOSE);
    String why = ChangeChecks.reason(reason);
    List<StoredChange> changes = store.changes(id);
    changes.forEach(change -> checks.checked(one.libraryId(), order(change), change.place()));
    store.open(id, why, Instant.now(clock));
    trail.record(
        TrailRecord.of(
            "library",
            one.libraryId(),
            "proposed %s".formatted(TrailRecord.count(changes.size(), "change"))));
    live.say("proposal", id, "");
    return proposals.get(id);
  }

  private static ChangeOrder order(StoredChange change) {
    return new ChangeOrder(change.kind(), change.toolId(), change.base(), change.draft());
  }

  /** The collection of whoever asks, held until the end of the transaction. */
  private Stored own(long id) {
    store.lock(id);
    Stored one = store.get(id);
    if (!one.madeBy().equals(Actor.name())) {
      throw Refusal.notFound("there is no proposal " + id);
    }
    guard.need(one.libraryId(), LibraryRight.USE);
    if (one.state() != State.COLLECTED) {
      throw Refusal.conflict("these changes are proposed already");
    }
    return one;
  }
}
