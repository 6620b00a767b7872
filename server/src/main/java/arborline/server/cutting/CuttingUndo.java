package arborline.server.cutting;

import arborline.server.account.Permission;
import arborline.server.live.Live;
import arborline.server.support.Json;
import arborline.server.support.Refusal;
import arborline.server.trail.Undo;
import java.util.Objects;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** Puts a line of cutting data back to what it was. */
@Component
class CuttingUndo implements Undo {

  static final String KIND = "cutting.changed";

  private final CuttingLineRepository lines;
  private final Json json;
  private final Live live;

  CuttingUndo(CuttingLineRepository lines, Json json, Live live) {
    this.lines = lines;
    this.json = json;
    this.live = live;
  }

  /** A deed; without a state before it was kept new, without one after it was taken out. */
  record Deed(long id, long toolId, @Nullable LineState before, @Nullable LineState after) {}

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
    Optional<CuttingLine> now = lines.findById(deed.id());
    if (!Objects.equals(now.map(LineState::of).orElse(null), deed.after())) {
      throw Refusal.conflict("the line was changed again since; take the later change back first");
    }
    LineState before = deed.before();
    if (before == null) {
      now.ifPresent(lines::delete);
    } else {
      CuttingLine line = now.orElseGet(() -> new CuttingLine(deed.toolId()));
      before.to(line);
      lines.save(line);
    }
    live.say("tool", deed.toolId(), "cutting");
  }
}
