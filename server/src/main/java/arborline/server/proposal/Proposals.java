package arborline.server.proposal;

import arborline.core.library.Standing;
import arborline.core.merge.FieldMerge;
import arborline.core.sharing.LibraryRight;
import arborline.core.tool.Tool;
import arborline.server.account.Actor;
import arborline.server.account.Permission;
import arborline.server.library.LibraryTools;
import arborline.server.live.Live;
import arborline.server.proposal.ProposalOrder.ChangeOrder;
import arborline.server.proposal.ProposalStore.Stored;
import arborline.server.proposal.ProposalStore.StoredChange;
import arborline.server.proposal.ProposalViews.Answer;
import arborline.server.proposal.ProposalViews.ChangeView;
import arborline.server.proposal.ProposalViews.ProposalHead;
import arborline.server.proposal.ProposalViews.ProposalView;
import arborline.server.proposal.ProposalViews.State;
import arborline.server.right.LibraryGuard;
import arborline.server.support.Ids;
import arborline.server.support.Refusal;
import arborline.server.tool.ProposedChange;
import arborline.server.tool.StandingMoves;
import arborline.server.tool.ToolDraft;
import arborline.server.tool.Tools;
import arborline.server.trail.Trail;
import arborline.server.trail.TrailRecord;
import java.time.Clock;
import java.time.Instant;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Isolation;
import org.springframework.transaction.annotation.Transactional;

/** Proposes changes, shows what would come of them, and takes or declines them. */
@Service
public class Proposals {

  private final ProposalStore store;
  private final ProposedChange changing;
  private final LibraryTools adding;
  private final StandingMoves standings;
  private final Tools tools;
  private final LibraryGuard guard;
  private final ChangeChecks checks;
  private final Ids ids;
  private final Trail trail;
  private final Live live;
  private final Clock clock;

  Proposals(
      ProposalStore store,
      ProposedChange changing,
      LibraryTools adding,
      StandingMoves standings,
      Tools tools,
      LibraryGuard guard,
      ChangeChecks checks,
      Ids ids,
      Trail trail,
      Live live,
      Clock clock) {
    this.store = store;
    this.changing = changing;
    this.adding = adding;
    this.standings = standings;
    this.tools = tools;
    this.guard = guard;
    this.checks = checks;
    this.ids = ids;
    this.trail = trail;
    this.live = live;
    this.clock = clock;
  }

  /** Those that whoever asks made, may answer, or sees the library of; open ones first. */
  @Transactional(readOnly = true)
  List<ProposalHead> all() {
    List<Stored> all = store.all();
    Map<Long, LibraryGuard.Access> access =
        guard.access(all.stream().map(Stored::libraryId).distinct().toList());
    return all.stream()
        .filter(one ->
            access.containsKey(one.libraryId())
                && access.get(one.libraryId()).right() != null
                && shown(one))
        .map(one -> head(one, access.get(one.libraryId()).right()))
        .toList();
  }

  /** What is still being collected is nobody else's business. */
  private static boolean shown(Stored one) {
    return one.state() != State.COLLECTED || one.madeBy().equals(Actor.name());
  }

  private static ProposalHead head(Stored one, @Nullable LibraryRight right) {
    boolean toMe =
        Actor.may(Permission.EDIT) && right != null && right.includes(LibraryRight.MAINTAIN);
    return new ProposalHead(
        one.id(),
        one.libraryId(),
        one.library(),
        one.reason(),
        one.state(),
        one.madeBy(),
        one.madeAt(),
        one.answeredBy(),
        one.answeredAt(),
        one.words(),
        one.changes(),
        one.taken(),
        one.madeBy().equals(Actor.name()),
        toMe,
        one.seen());
  }

  /** One with all its changes, and what would come of each now. */
  @Transactional(readOnly = true)
  ProposalView get(long id) {
    Stored one = store.get(id);
    if (!shown(one)) {
      throw Refusal.notFound("there is no proposal " + id);
    }
    guard.need(one.libraryId(), LibraryRight.USE);
    boolean open = one.state() == State.OPEN || one.state() == State.COLLECTED;
    return new ProposalView(
        head(one, guard.right(one.libraryId()).orElse(null)),
        store.changes(id).stream().map(change -> view(change, open)).toList());
  }

  private ProposedChange.ProposedOutcome outcome(StoredChange change, ToolDraft draft) {
    Long tool = change.toolId();
    return tool == null ? ProposedChange.ofNew(draft) : changing.of(tool, change.base(), draft);
  }

  private ChangeView view(StoredChange change, boolean open) {
    Long tool = change.toolId();
    ToolDraft draft = change.draft();
    ProposedChange.ProposedOutcome outcome = open && draft != null ? outcome(change, draft) : null;
    Tool now = tool == null ? null : tools.get(tool).tool();
    Optional<ToolDraft> fresh = Optional.ofNullable(draft);
    return new ChangeView(
        change.place(),
        change.kind(),
        tool,
        change.base(),
        now == null ? fresh.map(ToolDraft::code).orElse("") : now.code(),
        now == null ? fresh.map(ToolDraft::name).orElse("") : now.name(),
        draft,
        outcome,
        open && tool != null ? store.touched(tool) : null,
        change.answer());
  }

  /** Proposes changes. */
  @Transactional
  public ProposalView propose(ProposalOrder order) {
    if (order.library() == null) {
      throw Refusal.badRequest("library says whose maintainers are to answer");
    }
    guard.need(order.library(), LibraryRight.PROPOSE);
    String reason = ChangeChecks.reason(order.reason());
    List<ChangeOrder> changes = ChangeChecks.some(order.changes());
    long id = ids.next("proposal");
    store.add(id, order.library(), reason, Actor.name(), Instant.now(clock));
    int place = 1;
    for (ChangeOrder change : changes) {
      store.add(id, checks.checked(order.library(), change, place++));
    }
    trail.record(
        TrailRecord.of(
            "library",
            order.library(),
            "proposed %s".formatted(TrailRecord.count(changes.size(), "change"))));
    live.say("proposal", id, "");
    return get(id);
  }

  /**
   * Which of its changes are taken.
   *
   * @param keep whose values stand where the tool was changed otherwise since; null where that is
   *     no question
   * @param seen the version that this was chosen for
   */
  record TakenChange(int place, FieldMerge.@Nullable Keep keep, @Nullable Integer seen) {}

  /** Takes some changes of a proposal, or all or none, and declines the others. */
  @Transactional(isolation = Isolation.READ_COMMITTED)
  ProposalView answer(long id, List<TakenChange> taken, @Nullable String words) {
    Stored one = store.get(id);
    guard.need(one.libraryId(), LibraryRight.MAINTAIN);
    String said = ChangeChecks.text("the answer", words);
    if (!shown(one)) {
      throw Refusal.notFound("there is no proposal " + id);
    }
    if (!store.end(id, State.ANSWERED, Actor.name(), Instant.now(clock), said)) {
      throw Refusal.conflict(over(store.get(id)));
    }
    Map<Integer, TakenChange> wanted = new HashMap<>();
    taken.forEach(change -> wanted.put(change.place(), change));
    int count = 0;
    for (StoredChange change : store.changes(id)) {
      TakenChange take = wanted.remove(change.place());
      if (take != null) {
        take(one.libraryId(), change, take);
        count++;
      }
      store.answer(id, change.place(), take == null ? Answer.DECLINED : Answer.TAKEN);
    }
    if (!wanted.isEmpty()) {
      throw Refusal.badRequest(
          "the proposal has no change %d".formatted(wanted.keySet().iterator().next()));
    }
    trail.record(
        TrailRecord.of(
            "library",
            one.libraryId(),
            "took %d of %s that %s proposed"
                .formatted(count, TrailRecord.count(one.changes(), "change"), one.madeBy())));
    live.say("proposal", id, "");
    return get(id);
  }

  private static String over(Stored one) {
    return switch (one.state()) {
      case COLLECTED -> "these changes are not proposed yet";
      case WITHDRAWN -> one.madeBy() + " withdrew the proposal meanwhile";
      default -> "%s answered the proposal meanwhile".formatted(one.answeredBy());
    };
  }

  private void take(long library, StoredChange change, TakenChange take) {
    ToolDraft draft = change.draft();
    switch (change.kind()) {
      case NEW -> adding.create(library, draft);
      case RETIRE -> standings.move(List.of(change.toolId()), Standing.RETIRED);
      case CHANGE ->
          changing.take(
              change.toolId(),
              change.base(),
              draft,
              take.keep(),
              Optional.ofNullable(take.seen()).orElse(0));
    }
  }

  /** Takes a proposal back before somebody answered. */
  @Transactional
  ProposalView withdraw(long id) {
    Stored one = own(id);
    if (!store.end(id, State.WITHDRAWN, Actor.name(), Instant.now(clock), "")) {
      throw Refusal.conflict(over(store.get(id)));
    }
    live.say("proposal", one.id(), "");
    return get(id);
  }

  /** Whoever made it has seen the answer. */
  @Transactional
  void seen(long id) {
    store.seen(own(id).id());
  }

  private Stored own(long id) {
    Stored one = store.get(id);
    guard.need(one.libraryId(), LibraryRight.USE);
    if (!one.madeBy().equals(Actor.name())) {
      throw Refusal.of(HttpStatus.FORBIDDEN, "only %s may do this".formatted(one.madeBy()));
    }
    return one;
  }
}
