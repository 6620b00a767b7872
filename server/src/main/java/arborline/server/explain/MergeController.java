package arborline.server.explain;

import arborline.core.library.Codes;
import arborline.core.merge.LibraryMerge;
import arborline.core.merge.MergeConflict;
import arborline.core.merge.MergeContent;
import arborline.core.merge.MergeTool;
import arborline.server.explain.MergedToolView.ToolInMerge;
import arborline.server.support.Refusal;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.SortedMap;
import java.util.TreeMap;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** How two libraries that started from the same one are joined. */
@RestController
@RequestMapping("/api/v1/explain")
class MergeController {

  /** Libraries by the codes of their tools; one that is left out is empty. */
  record MergeInput(
      @Nullable Map<String, ToolInMerge> base,
      @Nullable Map<String, ToolInMerge> theirs,
      @Nullable Map<String, ToolInMerge> ours) {}

  /**
   * A question that is open; null where something is not there.
   *
   * @param field {@code class}, {@code values.SYMBOL}, {@code cutting.MATERIAL/PURPOSE}, {@code
   *     parts}, {@code code}, or {@code *} for the whole tool
   */
  record ConflictView(
      String code,
      String field,
      @Nullable Object base,
      @Nullable Object theirs,
      @Nullable Object ours) {}

  /** The joined library, in which ours stands where a question is open. */
  record MergeAnswer(SortedMap<String, ToolInMerge> merged, List<ConflictView> conflicts) {}

  @PostMapping("/merge")
  MergeAnswer merge(@RequestBody MergeInput input) {
    LibraryMerge.Merged merged =
        LibraryMerge.merge(
            library("base", input.base()),
            library("theirs", input.theirs()),
            library("ours", input.ours()));
    SortedMap<String, ToolInMerge> tools = new TreeMap<>();
    merged.tools().forEach((code, tool) -> tools.put(code, MergedToolView.of(tool)));
    return new MergeAnswer(tools, merged.conflicts().stream().map(MergeController::view).toList());
  }

  private static Map<String, MergeTool> library(
      String name, @Nullable Map<String, ToolInMerge> tools) {
    Map<String, MergeTool> library = new HashMap<>();
    Map<String, String> keys = new HashMap<>();
    Optional.ofNullable(tools)
        .orElse(Map.of())
        .forEach((code, tool) -> {
          String place = "%s.%s".formatted(name, code);
          if (code.isBlank()) {
            throw Refusal.badRequest(name + " has a tool without a code; give it one");
          }
          String same = keys.put(Codes.key(code), code);
          if (same != null) {
            throw Refusal.badRequest(
                "%s has %s and %s, which are one code; rename one".formatted(name, same, code));
          }
          library.put(code, MergedToolView.tool(place, tool));
        });
    return library;
  }

  private static ConflictView view(MergeConflict conflict) {
    return new ConflictView(
        conflict.code(),
        conflict.field(),
        content(conflict.base()),
        content(conflict.theirs()),
        content(conflict.ours()));
  }

  private static @Nullable Object content(Optional<? extends MergeContent> content) {
    return content.map(MergedToolView::json).orElse(null);
  }
}
