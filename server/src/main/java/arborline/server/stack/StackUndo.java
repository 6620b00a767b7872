package arborline.server.stack;

import arborline.server.account.Permission;
import arborline.server.live.Live;
import arborline.server.support.Json;
import arborline.server.support.Refusal;
import arborline.server.trail.Undo;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** Puts a stack back to what it was. */
@Component
class StackUndo implements Undo {

  static final String KIND = "stack.changed";

  private final StackRepository stacks;
  private final Json json;
  private final Live live;

  StackUndo(StackRepository stacks, Json json, Live live) {
    this.stacks = stacks;
    this.json = json;
    this.live = live;
  }

  /** A part of a stack; without a version it follows the newest. */
  record PartState(long componentId, @Nullable Integer versionNo) {}

  /** Everything of a stack but its identity. */
  record StackState(String name, String seat, BigDecimal projection, List<PartState> parts) {

    static StackState of(StackRow row) {
      return new StackState(
          row.name,
          row.seat,
          row.projection.stripTrailingZeros(),
          row.parts.stream().map(part -> new PartState(part.componentId, part.versionNo)).toList());
    }

    void to(StackRow row) {
      row.name = name;
      row.seat = seat;
      row.projection = projection;
      row.parts = new ArrayList<>();
      parts.forEach(part -> row.parts.add(new StackPart(part.componentId(), part.versionNo())));
    }
  }

  /** A deed; without a state before it was kept new, without one after it was taken apart. */
  record Deed(long id, long toolId, @Nullable StackState before, @Nullable StackState after) {}

  @Override
  public String kind() {
    return KIND;
  }

  @Override
  public Permission needs() {
    return Permission.EDIT;
  }

  @Override
  public void undo(String data) {
    Deed deed = json.read(data, Deed.class);
    Optional<StackRow> now = stacks.findById(deed.id());
    if (!Objects.equals(now.map(StackState::of).orElse(null), deed.after())) {
      throw Refusal.conflict("the stack was changed again since; take the later change back first");
    }
    StackState before = deed.before();
    if (before == null) {
      now.ifPresent(stacks::delete);
    } else {
      StackRow row = now.orElseGet(() -> new StackRow(deed.toolId()));
      before.to(row);
      stacks.save(row);
    }
    live.say("tool", deed.toolId(), "stack");
  }
}
