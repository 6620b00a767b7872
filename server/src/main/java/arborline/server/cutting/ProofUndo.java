package arborline.server.cutting;

import arborline.server.account.Permission;
import arborline.server.live.Live;
import arborline.server.support.Json;
import arborline.server.trail.StateUndo;
import org.springframework.stereotype.Component;

/** Takes back that a line was proven; whoever may prove may do so. */
@Component
class ProofUndo extends StateUndo<CuttingLine, LineState> {

  static final String KIND = "cutting.proven";

  ProofUndo(CuttingLineRepository lines, Json json, Live live) {
    super(
        KIND,
        Permission.PROVE,
        new Rows<>(lines::findById, CuttingLine::new, lines::save, lines::delete),
        new States<>(LineState.class, LineState::of, LineState::to),
        toolId -> live.say("tool", toolId, "cutting"),
        json);
  }
}
