package arborline.server.stack;

import arborline.server.live.Live;
import arborline.server.support.Json;
import arborline.server.trail.StateUndo;
import org.springframework.stereotype.Component;

/** Puts a stack back to what it was. */
@Component
class StackUndo extends StateUndo<StackRow, StackState> {

  static final String KIND = "stack.changed";

  StackUndo(StackRepository stacks, Json json, Live live) {
    super(
        KIND,
        new Rows<>(stacks::findById, StackRow::new, stacks::save, stacks::delete),
        new States<>(StackState.class, StackState::of, StackState::to),
        toolId -> live.say("tool", toolId, "stack"),
        json);
  }
}
