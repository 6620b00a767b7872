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
  record Draft(
      @Nullable String name,
      @Nullable String seat,
      List<Long> components,
      BigDecimal projection,
      @Nullable Wall wall) {}

  /** A wall beside the tool: height above the tip and distance from the axis, mm. */
  record Wall(double height, double distance) {}

  /** What follows from a stack. */
  record Answer(
      StackShape shape,
      List<Finding> findings,
      @Nullable Clearance clearance,
      double cutterLength) {}

  /** A stack that is kept. */
  record Kept(
      long id,
      long toolId,
      String name,
      String seat,
      List<Components.Known> parts,
      BigDecimal projection,
      Answer answer) {}

  @Transactional(readOnly = true)
  Answer check(long toolId, Draft draft) {
    return answer(toolId, draft);
  }

  private Answer answer(long toolId, Draft draft) {
    Cutter cutter =
        Cutter.of(tools.get(toolId).tool())
            .orElseThrow(
                () -> Refusal.conflict("this tool does not rotate, or has no dimensions yet"));
    List<Components.Known> parts = components.inOrder(draft.components());
    Stack stack =
        new Stack(
            Optional.ofNullable(draft.seat()).orElse(""),
            parts.stream().map(Components.Known::component).toList(),
            cutter,
            draft.projection().doubleValue());
    List<Finding> findings = new ArrayList<>(stack.findings());
    if (parts.stream().map(Components.Known::id).distinct().count() < parts.size()) {
      findings.add(Finding.hold("stack-twice", "the same part stands in the stack twice", "CODE"));
    }
    parts.stream()
        .filter(Components.Known::retired)
        .forEach(part ->
            findings.add(
                Finding.query(
                    "part-retired",
                    "%s was retired: choose another, or take it back into use"
                        .formatted(part.component().code()))));
    StackShape shape = stack.shape();
    Wall wall = draft.wall();
    boolean asked = wall != null && wall.height() > 0 && wall.distance() > 0;
    return new Answer(
        shape,
        findings,
        asked ? Clearance.of(shape, wall.height(), wall.distance()) : null,
        cutter.length());
  }

  @Transactional(readOnly = true)
  List<Kept> of(long toolId) {
    return stacks.findByToolIdOrderById(toolId).stream().map(this::kept).toList();
  }

  @Transactional(readOnly = true)
  List<Kept> using(long componentId) {
    return stacks.using(componentId, Limit.of(MOST)).stream().map(this::kept).toList();
  }

  private Kept kept(StackRow row) {
    Draft draft = new Draft(row.name, row.seat, List.copyOf(row.parts), row.projection, null);
    return new Kept(
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
  Kept keep(long toolId, Draft draft) {
    return store(new StackRow(toolId), draft, "kept stack ");
  }

  /** Changes a stack that is kept. */
  @Transactional
  Kept change(long id, Draft draft) {
    return store(row(id), draft, "changed stack ");
  }

  private StackRow row(long id) {
    return stacks.findById(id).orElseThrow(() -> Refusal.notFound("there is no stack " + id));
  }

  private Kept store(StackRow row, Draft draft, String said) {
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
