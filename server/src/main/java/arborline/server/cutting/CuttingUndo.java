package arborline.server.cutting;

import arborline.server.live.Live;
import arborline.server.support.Json;
import arborline.server.trail.StateUndo;
import java.util.Optional;
import org.springframework.stereotype.Component;

/** Puts a line of cutting data back to what it was. */
@Component
class CuttingUndo extends StateUndo<LineState> {

  static final String KIND = "cutting.changed";

  private final CuttingLineRepository lines;
  private final Live live;

  CuttingUndo(CuttingLineRepository lines, Json json, Live live) {
    super(json, LineState.class);
    this.lines = lines;
    this.live = live;
  }

  @Override
  public String kind() {
    return KIND;
  }

  @Override
  protected Optional<LineState> now(long id) {
    return lines.findById(id).map(LineState::of);
  }

  @Override
  protected void remove(long id) {
    lines.findById(id).ifPresent(lines::delete);
  }

  @Override
  protected void put(long id, long toolId, LineState state) {
    CuttingLine line = lines.findById(id).orElseGet(() -> new CuttingLine(toolId));
    state.to(line);
    lines.save(line);
  }

  @Override
  protected void tell(long toolId) {
    live.say("tool", toolId, "cutting");
  }
}
