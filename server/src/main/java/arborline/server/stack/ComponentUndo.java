package arborline.server.stack;

import arborline.core.stack.Component;
import arborline.server.account.Permission;
import arborline.server.live.Live;
import arborline.server.support.Json;
import arborline.server.support.Refusal;
import arborline.server.trail.Undo;
import arborline.server.trail.UndoKind;
import java.util.List;
import org.springframework.data.domain.Limit;
import org.springframework.stereotype.Service;

/** Gives a component back what it was; stacks that stayed with it follow again. */
@Service
class ComponentUndo implements Undo<ComponentUndo.Changed> {

  static final UndoKind<Changed> KIND =
      new UndoKind<>("component.changed", 1, Changed.class, Permission.EDIT);

  private final Components known;
  private final ComponentRepository components;
  private final ComponentVersionRepository versions;
  private final StackRepository stacks;
  private final Json json;
  private final Live live;

  ComponentUndo(
      Components known,
      ComponentRepository components,
      ComponentVersionRepository versions,
      StackRepository stacks,
      Json json,
      Live live) {
    this.known = known;
    this.components = components;
    this.versions = versions;
    this.stacks = stacks;
    this.json = json;
    this.live = live;
  }

  /**
   * A change.
   *
   * @param stayed stacks that stayed with the version before
   */
  record Changed(long id, int before, int after, List<Long> stayed) {}

  @Override
  public UndoKind<Changed> kind() {
    return KIND;
  }

  @Override
  public void takeBack(Changed changed) {
    ComponentRow row = components.findById(changed.id()).orElseThrow();
    if (row.versionNo != changed.after()) {
      throw Refusal.conflict(
          "%s was changed again since; take the later change back first".formatted(row.code));
    }
    String before =
        versions
            .findByComponentIdAndVersionNo(changed.id(), changed.before())
            .orElseThrow()
            .definition;
    known.define(row, json.read(before, Component.class));
    for (StackRow stack : stacks.using(changed.id(), Limit.unlimited())) {
      if (changed.stayed().contains(stack.id)) {
        stack.parts.stream()
            .filter(part -> part.componentId == changed.id())
            .forEach(part -> part.versionNo = null);
      }
    }
    live.say("component", row.id, "");
  }
}
