package arborline.server.library;

import arborline.core.tool.Tool;
import arborline.server.account.Permission;
import arborline.server.support.Json;
import arborline.server.support.Refusal;
import arborline.server.trail.Undo;
import java.util.List;
import java.util.function.Consumer;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** Takes back renamings and changes of naming patterns. */
@Configuration
class RenameUndo {

  static final String TOOLS = "tools.renamed";
  static final String PATTERNS = "library.patterns";

  /** One renamed tool: what it was, what it became, and between which versions. */
  record Renamed(long toolId, String code, String name, String newCode, int from, int to) {}

  record Deed(List<Renamed> tools) {}

  record Patterns(long libraryId, Naming.NamingPatterns before, Naming.NamingPatterns after) {}

  private record Step(String kind, Consumer<String> action) implements Undo {
    @Override
    public Permission needs() {
      return Permission.EDIT;
    }

    @Override
    public void undo(String data) {
      action.accept(data);
    }
  }

  @Bean
  Undo undoRenamed(ToolStore shelves, ToolRepository tools, VersionRepository versions, Json json) {
    return new Step(
        TOOLS,
        data -> {
          for (Renamed each : json.read(data, Deed.class).tools()) {
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
  Undo undoPatterns(LibraryRepository libraries, Json json) {
    return new Step(
        PATTERNS,
        data -> {
          Patterns step = json.read(data, Patterns.class);
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
