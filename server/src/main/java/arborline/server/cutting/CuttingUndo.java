package arborline.server.cutting;

import arborline.server.account.Permission;
import arborline.server.live.Live;
import arborline.server.support.Json;
import arborline.server.trail.StateUndo;
import org.springframework.stereotype.Component;

/** Puts a line of cutting data back to what it was. */
@Component
class CuttingUndo extends StateUndo<CuttingLine, LineState> {

  static final String KIND = "cutting.changed";

  CuttingUndo(CuttingLineRepository lines, Json json, Live live) {
    super(
        KIND,
        Permission.EDIT,
        new Rows<>(lines::findById, CuttingLine::new, lines::save, lines::delete),
        new States<>(LineState.class, LineState::of, LineState::to),
        toolId -> live.say("tool", toolId, "cutting"),
        json);
  }
}
