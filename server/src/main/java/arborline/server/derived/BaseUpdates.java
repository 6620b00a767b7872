package arborline.server.derived;

import arborline.core.edition.BaseUpdate;
import arborline.core.edition.BaseUpdate.OwnTool;
import arborline.core.merge.MergeAnswers;
import arborline.core.sharing.LibraryRight;
import arborline.server.edition.EditionHead;
import arborline.server.edition.EditionStore;
import arborline.server.edition.EditionStore.PlacedTool;
import arborline.server.edition.LibraryNow;
import arborline.server.library.LibraryLocks;
import arborline.server.right.LibraryGuard;
import arborline.server.support.Refusal;
import arborline.server.tool.ToolStore;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalLong;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Isolation;
import org.springframework.transaction.annotation.Transactional;

/** Newer editions of the bases of derived libraries: what they would change, and their taking. */
@Service
class BaseUpdates {

  private final DerivedStore store;
  private final EditionStore editions;
  private final LibraryNow now;
  private final LibraryLocks locks;
  private final LibraryGuard guard;
  private final ToolStore tools;
  private final BaseUpdateTaking taking;

  BaseUpdates(
      DerivedStore store,
      EditionStore editions,
      LibraryNow now,
      LibraryLocks locks,
      LibraryGuard guard,
      ToolStore tools,
      BaseUpdateTaking taking) {
    this.store = store;
    this.editions = editions;
    this.now = now;
    this.locks = locks;
    this.guard = guard;
    this.tools = tools;
    this.taking = taking;
  }

  /** From which edition of its base to which. */
  record Steps(DerivedLibrary library, EditionHead from, EditionHead to) {}

  /**
   * Somebody's answer to a question.
   *
   * @param code as the question has it
   * @param side {@code OURS} or {@code THEIRS}, the base
   */
  record UpdateAnswer(
      @Nullable String code, @Nullable String field, MergeAnswers.@Nullable Side side) {}

  /**
   * A newer edition that is to be taken in.
   *
   * @param edition which one somebody looked at
   * @param answers to all questions
   * @param leave codes of tools here that stay as they are although the base changed them
   */
  record UpdateOrder(
      @Nullable Long edition,
      @Nullable List<@Nullable UpdateAnswer> answers,
      @Nullable List<@Nullable String> leave) {}

  /** What the newest edition of the base, or another one behind the one here, would change. */
  @Transactional(readOnly = true)
  BaseUpdateView view(long library, @Nullable Long edition, MergeAnswers answers) {
    guard.need(library, LibraryRight.USE);
    DerivedLibrary one = derived(library);
    Optional<EditionHead> to = to(one, edition);
    EditionHead from = editions.get(one.editionId());
    String base = store.base(one.baseId()).name();
    if (to.isEmpty()) {
      return BaseUpdateView.nothing(base, one, from);
    }
    return BaseUpdateView.of(base, new Steps(one, from, to.get()), outcome(one, to.get(), answers));
  }

  private DerivedLibrary derived(long library) {
    return store
        .of(library)
        .orElseThrow(() -> Refusal.conflict("the library is not derived from another one"));
  }

  private Optional<EditionHead> to(DerivedLibrary one, @Nullable Long wanted) {
    if (!store.base(one.baseId()).there()) {
      throw Refusal.conflict(
          "its base '%s' was deleted; the library stays as it is"
              .formatted(store.base(one.baseId()).name()));
    }
    guard.need(one.baseId(), LibraryRight.USE);
    EditionHead from = editions.get(one.editionId());
    Optional<EditionHead> to =
        wanted == null
            ? editions.newest(one.baseId())
            : Optional.of(editions.get(wanted))
                .filter(edition -> edition.libraryId() == one.baseId());
    if (wanted != null && to.filter(edition -> edition.number() > from.number()).isEmpty()) {
      throw Refusal.conflict(
          "edition %d is not a newer one of its base than edition %d, which was taken in"
              .formatted(wanted, from.number()));
    }
    return to.filter(edition -> edition.number() > from.number());
  }

  private BaseUpdate.Outcome outcome(DerivedLibrary one, EditionHead to, MergeAnswers answers) {
    Changed changed = changed(one, to);
    List<OwnTool> ours = new ArrayList<>();
    now.of(one.libraryId(), changed.ours().keySet())
        .forEach((tool, entry) ->
            ours.add(new OwnTool(tool, OptionalLong.of(changed.ours().get(tool)), entry)));
    return BaseUpdate.of(
        editions.frozen(changed.before()),
        editions.frozen(changed.now()),
        ours,
        one.ending(),
        answers);
  }

  /**
   * What is not the same in two editions of a base.
   *
   * @param ours tools of the derived library that came from these, with the tool of the base
   */
  private record Changed(
      Collection<PlacedTool> before, Collection<PlacedTool> now, Map<Long, Long> ours) {}

  private Changed changed(DerivedLibrary one, EditionHead to) {
    Map<Long, PlacedTool> before = editions.tools(one.editionId());
    Map<Long, PlacedTool> after = editions.tools(to.id());
    Set<Long> changed = new HashSet<>(before.keySet());
    changed.addAll(after.keySet());
    changed.removeIf(id -> same(before.get(id), after.get(id)));
    changed.removeAll(store.held(one.libraryId(), changed));
    Map<Long, Long> ours = new HashMap<>(store.bases(one.libraryId()));
    ours.values().retainAll(changed);
    before.keySet().retainAll(changed);
    after.keySet().retainAll(changed);
    return new Changed(before.values(), after.values(), ours);
  }

  private static boolean same(@Nullable PlacedTool one, @Nullable PlacedTool other) {
    return one != null
        && other != null
        && one.hash().equals(other.hash())
        && one.number() == other.number()
        && one.section().equals(other.section());
  }

  /** Takes it in, all of it or nothing. */
  @Transactional(isolation = Isolation.READ_COMMITTED)
  BaseUpdateTaking.UpdateTaken take(long library, UpdateOrder order) {
    MergeAnswers answers = answers(order);
    Set<String> leave = leave(order);
    locks.lock(library, LibraryRight.MAINTAIN);
    DerivedLibrary one = derived(library);
    EditionHead to =
        to(one, order.edition())
            .orElseThrow(() -> Refusal.conflict("its base has no newer edition"));
    tools.hold(changed(one, to).ours().keySet());
    BaseUpdate.Outcome outcome = outcome(one, to, answers);
    if (!outcome.open().isEmpty()) {
      BaseUpdate.Open first = outcome.open().getFirst();
      throw Refusal.conflict(
          "%d of what both changed is not answered, first %s of %s; look again and answer"
              .formatted(outcome.open().size(), first.conflict().field(), first.conflict().code()));
    }
    Steps steps = new Steps(one, editions.get(one.editionId()), to);
    return taking.take(
        steps,
        store.base(one.baseId()).name(),
        outcome.steps().stream().filter(step -> !leave.contains(step.code())).toList());
  }

  private static Set<String> leave(UpdateOrder order) {
    Set<String> leave = new HashSet<>();
    Optional.ofNullable(order.leave())
        .orElse(List.of())
        .forEach(code -> {
          if (code == null) {
            throw Refusal.badRequest("leave has an empty entry");
          }
          leave.add(code);
        });
    return leave;
  }

  static MergeAnswers answers(UpdateOrder order) {
    MergeAnswers answers = MergeAnswers.NONE;
    for (UpdateAnswer one : Optional.ofNullable(order.answers()).orElse(List.of())) {
      if (one == null || one.code() == null || one.field() == null || one.side() == null) {
        throw Refusal.badRequest(
            "an answer has the code and the field of a question, and side OURS or THEIRS");
      }
      answers = answers.with(one.code(), one.field(), one.side());
    }
    return answers;
  }
}
