package arborline.server.proposal;

import arborline.core.finding.Finding;
import arborline.core.library.VisibleText;
import arborline.server.proposal.ProposalOrder.ChangeOrder;
import arborline.server.proposal.ProposalOrder.Kind;
import arborline.server.proposal.ProposalStore.StoredChange;
import arborline.server.right.ToolGuard;
import arborline.server.support.Refusal;
import arborline.server.tool.ProposedChange;
import arborline.server.tool.ToolDraft;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** Whether a change can be proposed to those who maintain a library. */
@Component
class ChangeChecks {

  /** So many changes one proposal has at most. */
  static final int MOST_CHANGES = 200;

  private static final int LONGEST = 2_000;

  private final ProposalStore store;
  private final ProposedChange changing;
  private final ToolGuard seeing;

  ChangeChecks(ProposalStore store, ProposedChange changing, ToolGuard seeing) {
    this.store = store;
    this.changing = changing;
    this.seeing = seeing;
  }

  /** Refuses anything but 1 to 200 changes. */
  static List<ChangeOrder> some(@Nullable List<ChangeOrder> changes) {
    List<ChangeOrder> given = Optional.ofNullable(changes).orElse(List.of());
    if (given.isEmpty() || given.size() > MOST_CHANGES) {
      throw Refusal.badRequest("a proposal has 1 to %d changes".formatted(MOST_CHANGES));
    }
    return given;
  }

  /** Visible words of at most 2000 characters. */
  static String text(String what, @Nullable String given) {
    String text = Optional.ofNullable(given).orElse("").strip();
    if (text.length() > LONGEST) {
      throw Refusal.badRequest("%s has at most %d characters".formatted(what, LONGEST));
    }
    VisibleText.fault(what, text)
        .ifPresent(fault -> {
          throw Refusal.badRequest(fault);
        });
    return text;
  }

  /** Why something is proposed; refuses silence. */
  static String reason(@Nullable String given) {
    String reason = text("the reason", given);
    if (reason.isEmpty()) {
      throw Refusal.badRequest("say why; whoever answers has to understand it");
    }
    return reason;
  }

  /** The change as it is stored under a place; refuses what could not be taken as things are. */
  StoredChange checked(long library, ChangeOrder change, int place) {
    Kind kind = change.kind();
    if (kind == null) {
      throw Refusal.badRequest("change %d: kind is CHANGE, NEW or RETIRE".formatted(place));
    }
    ToolDraft draft = change.draft();
    if (kind != Kind.RETIRE && draft == null) {
      throw Refusal.badRequest("change %d has no draft of the tool".formatted(place));
    }
    if (kind == Kind.NEW) {
      return ofNew(draft, place);
    }
    Long tool = change.tool();
    if (tool == null) {
      throw Refusal.badRequest("change %d does not say which tool".formatted(place));
    }
    seeing.needSight(List.of(tool));
    if (!store.holds(library, tool)) {
      throw Refusal.conflict("the library does not hold tool %d".formatted(tool));
    }
    if (kind == Kind.RETIRE) {
      return new StoredChange(place, kind, tool, 0, null, null);
    }
    int base = Optional.ofNullable(change.version()).orElse(0);
    ProposedChange.ProposedOutcome outcome = changing.of(tool, base, draft);
    if (outcome.differences().isEmpty() && outcome.conflicts().isEmpty()) {
      throw Refusal.conflict("%s would stay as it is".formatted(outcome.code()));
    }
    return new StoredChange(place, kind, tool, base, draft, null);
  }

  private static StoredChange ofNew(ToolDraft draft, int place) {
    List<Finding> holds = ProposedChange.ofNew(draft).holds();
    if (!holds.isEmpty()) {
      throw Refusal.conflict(
          "%s cannot be proposed: %s".formatted(draft.code(), holds.getFirst().message()), holds);
    }
    return new StoredChange(place, Kind.NEW, null, 0, draft, null);
  }
}
