package arborline.server.stack;

import arborline.server.live.Live;
import arborline.server.support.Json;
import arborline.server.trail.StateUndo;
import java.util.Optional;
import org.springframework.stereotype.Component;

/** Puts a stack back to what it was. */
@Component
class StackUndo extends StateUndo<StackState> {

  static final String KIND = "stack.changed";

  private final StackRepository stacks;
  private final Live live;

  StackUndo(StackRepository stacks, Json json, Live live) {
    super(json, StackState.class);
    this.stacks = stacks;
    this.live = live;
  }

  @Override
  public String kind() {
    return KIND;
  }

  @Override
  protected Optional<StackState> now(long id) {
    return stacks.findById(id).map(StackState::of);
  }

  @Override
  protected void remove(long id) {
    stacks.findById(id).ifPresent(stacks::delete);
  }

  @Override
  protected void put(long id, long toolId, StackState state) {
    StackRow row = stacks.findById(id).orElseGet(() -> new StackRow(toolId));
    state.to(row);
    stacks.save(row);
  }

  @Override
  protected void tell(long toolId) {
    live.say("tool", toolId, "stack");
  }
}
