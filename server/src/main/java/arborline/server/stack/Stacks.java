package arborline.server.stack;

import arborline.core.finding.Finding;
import arborline.core.finding.Severity;
import arborline.core.stack.Clearance;
import arborline.core.stack.Cutter;
import arborline.core.stack.Pocket;
import arborline.core.stack.Stack;
import arborline.core.stack.StackShape;
import arborline.core.stack.Wall;
import arborline.server.library.LibraryTools;
import arborline.server.library.ToolCopied;
import arborline.server.right.ToolGuard;
import arborline.server.support.Json;
import arborline.server.support.Refusal;
import arborline.server.tool.ToolBelongings;
import arborline.server.tool.ToolDone;
import arborline.server.tool.ToolDraft;
import arborline.server.tool.Tools;
import arborline.server.trail.StateUndo;
import arborline.server.trail.Trail;
import arborline.server.trail.TrailRecord;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.context.event.EventListener;
import org.springframework.data.domain.Limit;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** Stacks of the shop's cutters. */
@Service
class Stacks {

  private static final int MOST = 500;
  private static final BigDecimal LONGEST = BigDecimal.valueOf(2000);

  private final StackRepository stacks;
  private final Components components;
  private final Tools tools;
  private final LibraryTools libraryTools;
  private final StackVersions versions;
  private final Json json;
  private final Trail trail;
  private final ToolBelongings belongings;
  private final ToolGuard guard;

  Stacks(
      StackRepository stacks,
      Components components,
      Tools tools,
      LibraryTools libraryTools,
      StackVersions versions,
      Json json,
      Trail trail,
      ToolBelongings belongings,
      ToolGuard guard) {
    this.guard = guard;
    this.stacks = stacks;
    this.components = components;
    this.tools = tools;
    this.libraryTools = libraryTools;
    this.versions = versions;
    this.json = json;
    this.trail = trail;
    this.belongings = belongings;
  }

  /**
   * A stack as somebody builds it.
   *
   * @param seat connection of the spindle; blank where no machine is chosen
   * @param components ids, machine side first
   * @param stays version by component id, for those that do not follow the newest
   * @param overhang of the cutter out of the last one, mm; null for the usual one
   * @param wall to stay clear of
   * @param pocket to go into, instead of a wall
   */
  record StackDraft(
      @Nullable String name,
      @Nullable String seat,
      List<Long> components,
      @Nullable BigDecimal overhang,
      @Nullable Wall wall,
      @Nullable Pocket pocket,
      @Nullable Map<Long, Integer> stays) {

    List<StackPart> parts() {
      Map<Long, Integer> kept = Optional.ofNullable(stays).orElse(Map.of());
      return components.stream().map(id -> new StackPart(id, kept.get(id))).toList();
    }
  }

  /** A new tool and the stack that holds it. */
  record HeldTool(long toolId, long stackId, long undo) {}

  /**
   * What follows from a stack.
   *
   * @param wall that was judged; null where none was asked for, or none can be
   */
  record StackAnswer(
      StackShape shape,
      List<Finding> findings,
      @Nullable Wall wall,
      @Nullable Clearance clearance,
      double cutterLength) {}

  /**
   * A stack that is kept.
   *
   * @param version grows with each change
   * @param undo line of the trail that takes the last deed back; null where nothing was done
   */
  record KeptStack(
      long id,
      long toolId,
      String name,
      String seat,
      int version,
      List<Components.KnownComponent> parts,
      BigDecimal overhang,
      StackAnswer answer,
      @Nullable Long undo) {}

  @Transactional(readOnly = true)
  StackAnswer check(long toolId, StackDraft draft) {
    return answer(
        toolId, draft.seat(), draft.parts(), draft.overhang(), draft.wall(), draft.pocket());
  }

  private StackAnswer answer(
      long toolId,
      @Nullable String seat,
      List<StackPart> chosen,
      @Nullable BigDecimal overhang,
      @Nullable Wall wall,
      @Nullable Pocket pocket) {
    Cutter cutter =
        Cutter.of(tools.get(toolId).tool())
            .orElseThrow(() ->
                Refusal.conflict(
                    "its length, or the diameter or section of its shank, is not known yet; an insert is held by its tool"));
    List<Components.KnownComponent> parts = components.inOrder(chosen);
    Stack stack =
        new Stack(
            Optional.ofNullable(seat).orElse(""),
            parts.stream().map(Components.KnownComponent::component).toList(),
            cutter,
            overhang == null
                ? cutter.usualOverhang(
                    parts.isEmpty() ? 0 : parts.getLast().component().clamping().doubleValue())
                : overhang.doubleValue());
    List<Finding> findings = new ArrayList<>(stack.findings());
    if (parts.stream().map(Components.KnownComponent::id).distinct().count() < parts.size()) {
      findings.add(Finding.hold("stack-twice", "the same part stands in the stack twice", "CODE"));
    }
    parts.stream()
        .filter(Components.KnownComponent::retired)
        .forEach(part ->
            findings.add(
                Finding.query(
                    "part-retired",
                    "%s was retired: choose another, or take it back into use"
                        .formatted(part.component().code()))));
    StackShape shape = stack.shape();
    Wall beside = pocket == null ? wall : pocket.wall(cutter);
    if (pocket != null) {
      check(pocket);
      pocket.left(cutter).ifPresent(findings::add);
    }
    if (beside != null) {
      check(beside);
    }
    if (beside != null && shape.turned().isPresent()) {
      findings.add(
          Finding.note("wall-turned", "no wall is judged beside a turned axis", "AXISANGLE"));
      beside = null;
    }
    return new StackAnswer(
        shape,
        findings,
        beside,
        beside == null ? null : Clearance.of(stack, beside),
        cutter.length());
  }

  private static void check(Pocket pocket) {
    if (pocket.corner().filter(radius -> !(radius >= 0)).isPresent()) {
      throw Refusal.badRequest("the corner radius of a pocket must not be below 0 mm");
    }
  }

  private static void check(Wall wall) {
    if (!(wall.height() > 0) || !(wall.distance() > 0)) {
      throw Refusal.badRequest(
          "height or depth of a wall and its distance from the axis must be above 0 mm");
    }
  }

  @Transactional(readOnly = true)
  List<KeptStack> of(long toolId) {
    return stacks.findByToolIdOrderById(toolId).stream().map(row -> kept(row, null)).toList();
  }

  @Transactional(readOnly = true)
  KeptStack get(long id) {
    return kept(row(id), null);
  }

  @Transactional(readOnly = true)
  List<KeptStack> using(long componentId) {
    return stacks.using(componentId, Limit.of(MOST)).stream().map(row -> kept(row, null)).toList();
  }

  private KeptStack kept(StackRow row, @Nullable Long undo) {
    return new KeptStack(
        row.id,
        row.toolId,
        row.name,
        row.seat,
        row.versionNo,
        components.inOrder(row.parts),
        row.overhang.stripTrailingZeros(),
        answer(row.toolId, row.seat, row.parts, row.overhang, null, null),
        undo);
  }

  /** Keeps a new stack. */
  @Transactional
  KeptStack keep(long toolId, StackDraft draft) {
    StackRow row = new StackRow(toolId);
    return store(row, state(toolId, draft), draft, "kept stack ");
  }

  /** A new tool together with the stack that holds it; both or neither. */
  @Transactional
  HeldTool create(long libraryId, ToolDraft tool, StackDraft stack) {
    ToolDone created = libraryTools.create(libraryId, tool);
    return new HeldTool(created.toolId(), keep(created.toolId(), stack).id(), created.undo());
  }

  /**
   * Changes a stack that is kept; what others changed since is joined field by field.
   *
   * @param base version that somebody started from
   */
  @Transactional
  KeptStack change(long id, int base, StackDraft draft) {
    stacks.lock(id);
    StackRow row = row(id);
    StackState wanted = versions.joined(row, base, state(row.toolId, draft));
    return store(row, wanted, wanted.draft(), "changed stack ");
  }

  /** Lets nobody else change it until the transaction ends. */
  @Transactional(propagation = Propagation.MANDATORY)
  void lock(long id) {
    stacks.lock(id);
  }

  private StackRow row(long id) {
    return stacks.findById(id).orElseThrow(() -> Refusal.notFound("there is no stack " + id));
  }

  /** What a draft makes of a stack: names cut, the usual overhang where none is given. */
  private StackState state(long toolId, StackDraft draft) {
    BigDecimal overhang =
        Optional.ofNullable(draft.overhang())
            .orElseGet(() -> BigDecimal.valueOf(check(toolId, draft).shape().overhang()));
    if (overhang.signum() <= 0 || overhang.compareTo(LONGEST) > 0) {
      throw Refusal.badRequest("overhang must be above 0 and below 2000 mm");
    }
    String name = Optional.ofNullable(draft.name()).map(String::strip).orElse("");
    return new StackState(
        name.length() > 100 ? name.substring(0, 100) : name,
        Optional.ofNullable(draft.seat()).orElse(""),
        overhang.setScale(4, RoundingMode.HALF_UP),
        draft.parts().stream()
            .map(part -> new StackState.PartState(part.componentId, part.versionNo))
            .toList());
  }

  private KeptStack store(StackRow row, StackState wanted, StackDraft draft, String deed) {
    guard.needChange(List.of(row.toolId));
    StackAnswer answer = check(row.toolId, draft);
    List<Finding> holds =
        answer.findings().stream().filter(finding -> finding.severity() == Severity.HOLD).toList();
    if (!holds.isEmpty()) {
      throw Refusal.conflict(holds.getFirst().message(), holds);
    }
    StackState before = row.id == null ? null : StackState.of(row);
    wanted.to(row);
    row.versionNo += row.id == null ? 0 : 1;
    StackRow saved = stacks.save(row);
    versions.keep(saved);
    return kept(saved, record(saved, deed + "for ", before, StackState.of(saved)));
  }

  /** Takes a stack apart; its parts stay. Answers the line of the trail that takes it back. */
  @Transactional
  long remove(long id) {
    StackRow row = row(id);
    guard.needChange(List.of(row.toolId));
    stacks.delete(row);
    return record(row, "deleted a stack of ", StackState.of(row), null);
  }

  private long record(
      StackRow row, String text, @Nullable StackState before, @Nullable StackState after) {
    belongings.stackChanged(row.toolId);
    return trail.record(
        TrailRecord.of("tool", row.toolId, text + tools.get(row.toolId).tool().code())
            .undoneBy(
                StackUndo.CHANGED, StateUndo.Deed.of(json, row.id, row.toolId, before, after)));
  }

  /** A copied tool is held as the one it was copied from. */
  @EventListener
  void copied(ToolCopied copied) {
    for (StackRow original : stacks.findByToolIdOrderById(copied.from())) {
      StackRow copy = new StackRow(copied.to());
      StackState.of(original).to(copy);
      versions.keep(stacks.save(copy));
    }
  }
}
