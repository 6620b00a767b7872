package arborline.server.cutting;

import arborline.server.account.Permission;
import arborline.server.support.Json;
import arborline.server.tool.ToolBelongings;
import arborline.server.trail.StateUndo;
import arborline.server.trail.Undo;
import arborline.server.trail.UndoKind;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** Puts a line of cutting data back to what it was; whoever may prove may take a proof back. */
@Configuration
class CuttingUndo {

  static final UndoKind<StateUndo.Deed> CHANGED =
      StateUndo.kind("cutting.changed", Permission.EDIT);
  static final UndoKind<StateUndo.Deed> PROVEN = StateUndo.kind("cutting.proven", Permission.PROVE);

  @Bean
  Undo<StateUndo.Deed> undoCuttingChanged(
      CuttingLineRepository lines, Json json, ToolBelongings belongings) {
    return undo(CHANGED, lines, json, belongings);
  }

  @Bean
  Undo<StateUndo.Deed> undoCuttingProven(
      CuttingLineRepository lines, Json json, ToolBelongings belongings) {
    return undo(PROVEN, lines, json, belongings);
  }

  private static Undo<StateUndo.Deed> undo(
      UndoKind<StateUndo.Deed> kind,
      CuttingLineRepository lines,
      Json json,
      ToolBelongings belongings) {
    return new StateUndo<>(
        kind,
        new StateUndo.Rows<>(lines::findById, CuttingLine::new, lines::save, lines::delete),
        new StateUndo.States<>(LineState.class, LineState::of, LineState::to),
        toolId -> belongings.cuttingChanged(toolId),
        json);
  }
}
