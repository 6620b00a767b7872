package arborline.server.stack;

import arborline.server.account.Permission;
import arborline.server.live.Live;
import arborline.server.support.Json;
import arborline.server.trail.StateUndo;
import org.springframework.stereotype.Component;

/** Puts a stack back to what it was. */
@Component
class StackUndo extends StateUndo<StackRow, StackState> {

  static final String KIND = "stack.changed";

  StackUndo(StackRepository stacks, StackVersions versions, Json json, Live live) {
    super(
        KIND,
        Permission.EDIT,
        new Rows<>(
            stacks::findById,
            StackRow::new,
            row -> {
              row.versionNo++;
              versions.keep(stacks.save(row));
            },
            stacks::delete),
        new States<>(StackState.class, StackState::of, StackState::to),
        toolId -> live.say("tool", toolId, "stack"),
        json);
  }
}
