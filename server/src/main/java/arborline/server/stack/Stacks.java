package arborline.server.stack;

import arborline.core.finding.Finding;
import arborline.core.finding.Severity;
import arborline.core.stack.Clearance;
import arborline.core.stack.Cutter;
import arborline.core.stack.Stack;
import arborline.core.stack.StackShape;
import arborline.server.library.Tools;
import arborline.server.live.Live;
import arborline.server.support.Refusal;
import arborline.server.trail.Said;
import arborline.server.trail.Trail;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.data.domain.Limit;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Stacks of the shop's cutters. */
@Service
class Stacks {

  private static final int MOST = 500;
  private static final BigDecimal LONGEST = BigDecimal.valueOf(2000);

  private final StackRepository stacks;
  private final Components components;
  private final Tools tools;
  private final Trail trail;
  private final Live live;

  Stacks(StackRepository stacks, Components components, Tools tools, Trail trail, Live live) {
    this.stacks = stacks;
    this.components = components;
    this.tools = tools;
    this.trail = trail;
    this.live = live;
  }

  /**
   * A stack as somebody builds it.
   *
   * @param seat connection of the spindle; blank where no machine is chosen
   * @param components ids, machine side first
   * @param projection of the cutter out of the last one, mm
   */
  record StackDraft(
      @Nullable String name,
      @Nullable String seat,
      List<Long> components,
      BigDecimal projection,
      @Nullable Wall wall) {}

  /** A wall beside the tool: height above the tip and distance from the axis, mm. */
  record Wall(double height, double distance) {}

  /** What follows from a stack. */
  record StackAnswer(
      StackShape shape,
      List<Finding> findings,
      @Nullable Clearance clearance,
      double cutterLength) {}

  /** A stack that is kept. */
  record KeptStack(
      long id,
      long toolId,
      String name,
      String seat,
      List<Components.KnownComponent> parts,
      BigDecimal projection,
      StackAnswer answer) {}

  @Transactional(readOnly = true)
  StackAnswer check(long toolId, StackDraft draft) {
    return answer(toolId, draft);
  }

  private StackAnswer answer(long toolId, StackDraft draft) {
    Cutter cutter =
        Cutter.of(tools.get(toolId).tool())
            .orElseThrow(
                () -> Refusal.conflict("this tool does not rotate, or has no dimensions yet"));
    List<Components.KnownComponent> parts = components.inOrder(draft.components());
    Stack stack =
        new Stack(
            Optional.ofNullable(draft.seat()).orElse(""),
            parts.stream().map(Components.KnownComponent::component).toList(),
            cutter,
            draft.projection().doubleValue());
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
    Wall wall = draft.wall();
    boolean walled = wall != null && wall.height() > 0 && wall.distance() > 0;
    boolean asked = walled && shape.turned().isEmpty();
    if (walled && !asked) {
      findings.add(
          Finding.note("wall-turned", "no wall is judged beside a turned axis", "AXISANGLE"));
    }
    return new StackAnswer(
        shape,
        findings,
        asked ? Clearance.of(shape, wall.height(), wall.distance()) : null,
        cutter.length());
  }

  @Transactional(readOnly = true)
  List<KeptStack> of(long toolId) {
    return stacks.findByToolIdOrderById(toolId).stream().map(this::kept).toList();
  }

  @Transactional(readOnly = true)
  KeptStack get(long id) {
    return kept(row(id));
  }

  @Transactional(readOnly = true)
  List<KeptStack> using(long componentId) {
    return stacks.using(componentId, Limit.of(MOST)).stream().map(this::kept).toList();
  }

  private KeptStack kept(StackRow row) {
    StackDraft draft =
        new StackDraft(row.name, row.seat, List.copyOf(row.parts), row.projection, null);
    return new KeptStack(
        row.id,
        row.toolId,
        row.name,
        row.seat,
        components.inOrder(row.parts),
        row.projection.stripTrailingZeros(),
        answer(row.toolId, draft));
  }

  /** Keeps a new stack. */
  @Transactional
  KeptStack keep(long toolId, StackDraft draft) {
    return store(new StackRow(toolId), draft, "kept stack ");
  }

  /** Changes a stack that is kept. */
  @Transactional
  KeptStack change(long id, StackDraft draft) {
    return store(row(id), draft, "changed stack ");
  }

  private StackRow row(long id) {
    return stacks.findById(id).orElseThrow(() -> Refusal.notFound("there is no stack " + id));
  }

  private KeptStack store(StackRow row, StackDraft draft, String said) {
    if (draft.projection().signum() <= 0 || draft.projection().compareTo(LONGEST) > 0) {
      throw Refusal.badRequest("projection must be above 0 and below 2000 mm");
    }
    List<Finding> holds =
        answer(row.toolId, draft).findings().stream()
            .filter(finding -> finding.severity() == Severity.HOLD)
            .toList();
    if (!holds.isEmpty()) {
      throw Refusal.conflict(holds.getFirst().message(), holds);
    }
    String name = Optional.ofNullable(draft.name()).map(String::strip).orElse("");
    row.name = name.length() > 100 ? name.substring(0, 100) : name;
    row.seat = Optional.ofNullable(draft.seat()).orElse("");
    row.projection = draft.projection().setScale(4, RoundingMode.HALF_UP);
    row.parts = new ArrayList<>(draft.components());
    StackRow saved = stacks.save(row);
    trail.record(Said.of("tool", row.toolId, said + "for " + tools.get(row.toolId).tool().code()));
    live.say("tool", row.toolId, "stack");
    return kept(saved);
  }

  /** Takes a stack apart; its parts stay. */
  @Transactional
  void remove(long id) {
    StackRow row = row(id);
    stacks.delete(row);
    trail.record(
        Said.of(
            "tool", row.toolId, "took apart a stack of " + tools.get(row.toolId).tool().code()));
    live.say("tool", row.toolId, "stack");
  }
}
