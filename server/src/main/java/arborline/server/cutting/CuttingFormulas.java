package arborline.server.cutting;

import arborline.core.cutting.CuttingEntry;
import arborline.core.exchange.CuttingReading;
import arborline.core.tool.Tool;
import arborline.server.live.Live;
import arborline.server.support.Json;
import arborline.server.tool.CurrentTool;
import arborline.server.tool.ToolsChanged;
import java.time.Clock;
import java.time.Instant;
import java.util.Map;
import java.util.stream.Collectors;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;

/** Works out anew what of the cutting data of a tool follows from its values. */
@Component
class CuttingFormulas {

  private final CuttingLineRepository lines;
  private final Json json;
  private final Live live;
  private final Clock clock;

  CuttingFormulas(CuttingLineRepository lines, Json json, Live live, Clock clock) {
    this.lines = lines;
    this.json = json;
    this.live = live;
    this.clock = clock;
  }

  @EventListener
  void changed(ToolsChanged changed) {
    Map<Long, Tool> now =
        changed.now().stream().collect(Collectors.toMap(CurrentTool::id, CurrentTool::tool));
    for (CuttingLine line : lines.findByToolIdInAndFormulasNotNull(now.keySet())) {
      worked(line, now.get(line.toolId));
    }
  }

  /** What cannot be worked out any more keeps the number that it had. */
  private void worked(CuttingLine line, Tool tool) {
    CuttingEntry before = CuttingEntries.of(line, json);
    CuttingReading.interpret(CuttingReading.of(before, tool.code()), tool)
        .entry()
        .filter(entry -> !entry.sameCut(before))
        .ifPresent(entry -> {
          CuttingEntries.to(line, entry, line.saidBy, Instant.now(clock), json);
          line.versionNo++;
          lines.save(line);
          live.say("tool", line.toolId, "cutting");
        });
  }
}
