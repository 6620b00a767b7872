package arborline.server.stack;

import arborline.core.connection.Connection;
import arborline.core.finding.Finding;
import arborline.core.finding.Severity;
import arborline.core.library.Codes;
import arborline.core.stack.Component;
import arborline.server.account.Actor;
import arborline.server.live.Live;
import arborline.server.support.Json;
import arborline.server.support.Refusal;
import arborline.server.tool.ToolBelongings;
import arborline.server.trail.Trail;
import arborline.server.trail.TrailRecord;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.springframework.data.domain.Limit;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** The parts that stacks are built from. */
@Service
public class Components {

  private static final int MOST = 2000;

  private final ComponentRepository components;
  private final ComponentVersionRepository versions;
  private final StackRepository stacks;
  private final Trail trail;
  private final Live live;
  private final ToolBelongings belongings;
  private final Json json;
  private final Clock clock;

  Components(
      ComponentRepository components,
      ComponentVersionRepository versions,
      StackRepository stacks,
      Trail trail,
      Live live,
      ToolBelongings belongings,
      Json json,
      Clock clock) {
    this.components = components;
    this.versions = versions;
    this.stacks = stacks;
    this.trail = trail;
    this.live = live;
    this.belongings = belongings;
    this.json = json;
    this.clock = clock;
  }

  /**
   * A component with its identity.
   *
   * @param machineSideName what people call its connection on the machine side
   * @param workSideName what people call its connection on the workpiece side
   * @param version the newest there is
   * @param stays the version that a stack stays with; null where it follows the newest
   * @param undo line of the trail that takes the last deed back; null where nothing was done
   */
  public record KnownComponent(
      long id,
      Component component,
      String machineSideName,
      String workSideName,
      boolean retired,
      int version,
      @Nullable Integer stays,
      @Nullable Long undo) {

    static KnownComponent of(
        ComponentRow row, Component component, @Nullable Integer stays, @Nullable Long undo) {
      return new KnownComponent(
          row.id,
          component,
          Connection.tradeName(component.machineSide()),
          Connection.tradeName(component.workSide()),
          row.retired,
          row.versionNo,
          stays,
          undo);
    }
  }

  @Transactional(readOnly = true)
  public List<KnownComponent> all() {
    return components.findByOrderByCodeKey(Limit.of(MOST)).stream().map(this::known).toList();
  }

  @Transactional(readOnly = true)
  public KnownComponent get(long id) {
    return known(row(id));
  }

  /**
   * Those of a stack in their order, each in the version that the stack has; unknown ones are
   * refused.
   */
  @Transactional(readOnly = true)
  List<KnownComponent> inOrder(List<StackPart> parts) {
    Map<Long, ComponentRow> found = new HashMap<>();
    components
        .findByIdIn(parts.stream().map(part -> part.componentId).toList())
        .forEach(row -> found.put(row.id, row));
    List<KnownComponent> ordered = new ArrayList<>();
    for (StackPart part : parts) {
      ComponentRow row = found.get(part.componentId);
      if (row == null) {
        throw Refusal.badRequest("there is no holder or extension " + part.componentId);
      }
      ordered.add(
          known(row, part.versionNo == null ? row.definition : definition(part), part.versionNo));
    }
    return ordered;
  }

  private String definition(StackPart part) {
    return versions
        .findByComponentIdAndVersionNo(part.componentId, part.versionNo)
        .orElseThrow(() ->
            Refusal.badRequest(
                "holder or extension %d has no version %d"
                    .formatted(part.componentId, part.versionNo)))
        .definition;
  }

  private KnownComponent known(ComponentRow row) {
    return known(row, row.definition, null);
  }

  private KnownComponent known(ComponentRow row, String definition, @Nullable Integer stays) {
    return KnownComponent.of(row, json.read(definition, Component.class), stays, null);
  }

  private ComponentRow row(long id) {
    return components
        .findById(id)
        .orElseThrow(() -> Refusal.notFound("there is no holder or extension " + id));
  }

  /** Adds a component; its code must be free. */
  @Transactional
  public KnownComponent add(Component component) {
    check(component);
    refuseTaken(component.code(), null);
    ComponentRow row = components.save(new ComponentRow(component, json.text(component)));
    versions.save(new ComponentVersion(row, Actor.name(), Instant.now(clock)));
    record(row, TrailRecord.of("component", row.id, "added " + row.code));
    return known(row);
  }

  /**
   * Changes a component. Stacks that use it follow, but for those that are to stay with what it
   * was.
   *
   * @param base version that somebody started from
   * @param stays ids of stacks
   */
  @Transactional
  KnownComponent change(long id, int base, Component mine, Set<Long> stays) {
    components.lock(id);
    ComponentRow row = row(id);
    Component component = base == row.versionNo ? mine : joined(row, base, mine);
    check(component);
    refuseTaken(component.code(), id);
    int before = row.versionNo;
    List<Long> stayed = new ArrayList<>();
    for (StackRow stack : stacks.using(id, Limit.of(MOST))) {
      if (stays.contains(stack.id)) {
        stack.parts.stream()
            .filter(part -> part.componentId == id && part.versionNo == null)
            .forEach(part -> {
              part.versionNo = before;
              stayed.add(stack.id);
            });
      }
    }
    define(row, component);
    String text =
        "changed "
            + row.code
            + (stayed.isEmpty() ? "" : "; %d stacks stay".formatted(stayed.size()));
    long undo =
        record(
            row,
            TrailRecord.of("component", row.id, text)
                .undoneBy(
                    ComponentUndo.KIND,
                    new ComponentUndo.Changed(id, before, row.versionNo, stayed)));
    KnownComponent known = known(row);
    return KnownComponent.of(row, known.component(), null, undo);
  }

  private Component joined(ComponentRow row, int base, Component mine) {
    Component from =
        versions
            .findByComponentIdAndVersionNo(row.id, base)
            .map(version -> json.read(version.definition, Component.class))
            .orElseThrow(
                () -> Refusal.badRequest("%s has no version %d".formatted(row.code, base)));
    ComponentMerge.Merged merged =
        ComponentMerge.merge(from, json.read(row.definition, Component.class), mine);
    if (!merged.conflicts().isEmpty()) {
      throw Refusal.conflict(
          "somebody else changed the same of %s meanwhile; look at it again".formatted(row.code),
          merged.conflicts());
    }
    return merged.component();
  }

  /** Gives a component another newest version. */
  void define(ComponentRow row, Component component) {
    if (!row.code.equals(component.code()) || !row.name.equals(component.name())) {
      belongings.moved(
          stacks.using(row.id, Limit.unlimited()).stream().map(stack -> stack.toolId).toList());
    }
    row.define(component, json.text(component));
    row.versionNo++;
    versions.save(new ComponentVersion(row, Actor.name(), Instant.now(clock)));
  }

  private void refuseTaken(String code, @Nullable Long except) {
    components
        .findByCodeKey(Codes.key(code))
        .filter(other -> !other.id.equals(except))
        .ifPresent(other -> {
          throw Refusal.conflict("code %s is taken already".formatted(other.code));
        });
  }

  /** Takes a component out of use, or back into it; stacks that have it say so. */
  @Transactional
  KnownComponent retire(long id, boolean retired) {
    ComponentRow row = row(id);
    row.retired = retired;
    record(
        row,
        TrailRecord.of("component", id, (retired ? "retired " : "took back into use ") + row.code));
    return known(row);
  }

  private long record(ComponentRow row, TrailRecord deed) {
    live.say("component", row.id, "");
    return trail.record(deed);
  }

  /** Lets nobody else change it until the transaction ends. */
  @Transactional(propagation = Propagation.MANDATORY)
  public void lock(long id) {
    if (components.lock(id) == 0) {
      throw Refusal.notFound("there is no holder or extension " + id);
    }
  }

  private static void check(Component component) {
    List<Finding> holds =
        component.findings().stream()
            .filter(finding -> finding.severity() == Severity.HOLD)
            .toList();
    if (!holds.isEmpty()) {
      throw Refusal.conflict(holds.getFirst().message(), holds);
    }
  }
}
