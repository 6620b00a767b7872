package arborline.server.acceptance;

import arborline.core.inspect.ContentHash;
import arborline.core.tool.Tool;
import arborline.server.delivery.Delivery;
import arborline.server.delivery.DeliveryLine;
import arborline.server.inspection.LineChoice;
import arborline.server.inspection.LineJudge;
import arborline.server.support.Json;
import arborline.server.support.Refusal;
import arborline.server.tool.CurrentTool;
import arborline.server.tool.ToolStore;
import java.util.List;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/** Changes tools of the shop as somebody chose; always inside the transaction of a taking. */
@Component
class TakenChanges {

  /** The piece of a taking: the version that a tool had before. */
  static final String PIECE = "version";

  private final ToolStore store;
  private final LineJudge judge;
  private final TakenPieces pieces;
  private final Json json;
  private final JdbcClient jdbc;

  TakenChanges(ToolStore store, LineJudge judge, TakenPieces pieces, Json json, JdbcClient jdbc) {
    this.store = store;
    this.judge = judge;
    this.pieces = pieces;
    this.json = json;
    this.jdbc = jdbc;
  }

  /** Changes the tool of a line where somebody chose so. */
  void change(Delivery delivery, int takeNo, long toolId, DeliveryLine line) {
    if (line.choice == null) {
      return;
    }
    LineChoice choice = json.read(line.choice, LineChoice.class);
    CurrentTool current = store.lock(toolId);
    if (!ContentHash.of(current.tool()).equals(choice.against())) {
      throw Refusal.conflict(
          "%s was changed in the shop since you chose; look at its line again"
              .formatted(current.code()));
    }
    Tool after = choice.settled().of(judge.inspected(line).tool(), current.tool());
    if (!after.equals(current.tool())) {
      store.change(current, after, "delivery " + delivery.name);
      pieces.note(delivery.id, takeNo, PIECE, List.of(current.versionId()));
    }
  }

  private record Version(long toolId, int versionNo) {}

  /** Makes the versions stand again that tools had before a taking. */
  void takeBack(List<Long> versionIds) {
    for (Long id : versionIds) {
      Version before =
          jdbc.sql("select tool_id, version_no from tool_version where id = ?")
              .param(id)
              .query(Version.class)
              .single();
      CurrentTool now = store.lock(before.toolId());
      if (now.versionNo() != before.versionNo() + 1) {
        throw Refusal.conflict(
            "%s was changed again since; choose a version in its history".formatted(now.code()));
      }
      store.change(
          now, store.version(now, before.versionNo()), "back to version " + before.versionNo());
    }
  }
}
