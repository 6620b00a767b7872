package arborline.server.stack;

import arborline.server.account.Permission;
import arborline.server.support.Json;
import arborline.server.tool.ToolBelongings;
import arborline.server.trail.StateUndo;
import arborline.server.trail.Undo;
import arborline.server.trail.UndoKind;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** Puts a stack back to what it was. */
@Configuration
class StackUndo {

  static final UndoKind<StateUndo.Deed> CHANGED = StateUndo.kind("stack.changed", Permission.EDIT);

  @Bean
  Undo<StateUndo.Deed> undoStackChanged(
      StackRepository stacks, StackVersions versions, Json json, ToolBelongings belongings) {
    return new StateUndo<>(
        CHANGED,
        new StateUndo.Rows<>(
            stacks::findById,
            StackRow::new,
            row -> {
              row.versionNo++;
              versions.keep(stacks.save(row));
            },
            stacks::delete),
        new StateUndo.States<>(StackState.class, StackState::of, StackState::to),
        toolId -> belongings.stackChanged(toolId),
        json);
  }
}
