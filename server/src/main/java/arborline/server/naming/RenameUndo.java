package arborline.server.naming;

import arborline.server.account.Permission;
import arborline.server.support.Refusal;
import arborline.server.tool.CurrentTool;
import arborline.server.tool.ToolStore;
import arborline.server.trail.Undo;
import arborline.server.trail.UndoKind;
import java.util.List;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** Takes renamings back. */
@Configuration
class RenameUndo {

  static final UndoKind<Deed> RENAMED =
      new UndoKind<>("tools.renamed", 1, Deed.class, Permission.EDIT);

  /** One renamed tool: what it was, what it became, and between which versions. */
  record Renamed(long toolId, String code, String name, String newCode, int from, int to) {}

  record Deed(List<Renamed> tools) {}

  @Bean
  Undo<Deed> undoRenamed(ToolStore tools) {
    return Undo.of(
        RENAMED,
        deed -> {
          for (Renamed renamed : deed.tools()) {
            CurrentTool now = tools.lock(renamed.toolId());
            if (now.versionNo() != renamed.to() || !now.code().equals(renamed.newCode())) {
              throw Refusal.conflict(
                  "%s was changed again since; rename it on its own".formatted(now.code()));
            }
            tools.rename(now, renamed.code(), renamed.name(), "renaming taken back");
          }
        });
  }
}
