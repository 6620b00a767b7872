package arborline.server.library;

import arborline.core.tool.Tool;
import arborline.server.account.Permission;
import arborline.server.support.Refusal;
import arborline.server.trail.Undo;
import arborline.server.trail.UndoKind;
import java.util.List;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** Takes back renamings and changes of naming patterns. */
@Configuration
class RenameUndo {

  static final UndoKind<Deed> TOOLS =
      new UndoKind<>("tools.renamed", 1, Deed.class, Permission.EDIT);
  static final UndoKind<Patterns> PATTERNS =
      new UndoKind<>("library.patterns", 1, Patterns.class, Permission.EDIT);

  /** One renamed tool: what it was, what it became, and between which versions. */
  record Renamed(long toolId, String code, String name, String newCode, int from, int to) {}

  record Deed(List<Renamed> tools) {}

  record Patterns(long libraryId, Naming.NamingPatterns before, Naming.NamingPatterns after) {}

  @Bean
  Undo<Deed> undoRenamed(ToolStore shelves, ToolRepository tools, VersionRepository versions) {
    return Undo.of(
        TOOLS,
        deed -> {
          for (Renamed each : deed.tools()) {
            ShopTool owner = tools.lock(each.toolId()).orElseThrow();
            if (owner.versionNo != each.to() || !owner.code.equals(each.newCode())) {
              throw Refusal.conflict(
                  "%s was changed again since; rename it on its own".formatted(owner.code));
            }
            Tool tool = versions.findById(owner.versionId).orElseThrow().tool(owner.code);
            shelves.rename(owner, tool, each.code(), each.name(), "renaming taken back");
          }
        });
  }

  @Bean
  Undo<Patterns> undoPatterns(LibraryRepository libraries) {
    return Undo.of(
        PATTERNS,
        step -> {
          Library library = libraries.findById(step.libraryId()).orElseThrow();
          if (!new Naming.NamingPatterns(library.codePattern, library.namePattern)
              .equals(step.after())) {
            throw Refusal.conflict("the patterns were changed again since");
          }
          library.codePattern = step.before().code();
          library.namePattern = step.before().name();
        });
  }
}
