package arborline.server.edition;

import arborline.core.edition.FieldChange;
import arborline.core.edition.FrozenPart;
import arborline.core.edition.FrozenTool;
import arborline.core.edition.PartFields;
import arborline.core.edition.ToolFields;
import arborline.core.exchange.Interpreter;
import arborline.core.merge.MergeTool;
import arborline.core.tool.Completed;
import arborline.core.tool.Silhouettes;
import arborline.core.tool.outline.Outline;
import arborline.server.edition.EditionStore.PlacedTool;
import arborline.server.support.Refusal;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.SortedMap;
import java.util.TreeMap;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Compares editions of a library with each other, and with what stands there now. */
@Service
class EditionCompare {

  /** Of each kind of change no more tools are told one by one. */
  private static final int MOST_SHOWN = 500;

  /** Contents of what changed since, kept while comparing; beyond these fields are not told. */
  private static final int MOST_KEPT = 20_000;

  private final Editions editions;
  private final EditionStore store;
  private final LibraryNow now;

  EditionCompare(Editions editions, EditionStore store, LibraryNow now) {
    this.editions = editions;
    this.store = store;
    this.now = now;
  }

  /** A tool that is in one of the two only. */
  record ToolHead(long toolId, String code, String name, String classId, int number) {

    static ToolHead of(PlacedTool tool) {
      return new ToolHead(tool.toolId(), tool.code(), tool.name(), tool.classId(), tool.number());
    }
  }

  /**
   * A field of a tool that is not the same.
   *
   * @param name {@code class}, {@code name}, {@code number}, {@code section}, {@code values.DC},
   *     {@code notes.NOTE}, {@code cutting.MATERIAL/PURPOSE}, {@code stacks.NAME}
   * @param before null where it was not there
   * @param after null where it is not there any more
   * @param writing true where only unit or decimals changed, not the size
   */
  record FieldView(String name, @Nullable String before, @Nullable String after, boolean writing) {}

  /**
   * A tool that is in both and not the same.
   *
   * @param code in the later one
   * @param codeBefore in the earlier one
   */
  record ToolChanged(
      long toolId,
      String code,
      String codeBefore,
      String name,
      List<FieldView> fields,
      @Nullable Outline before,
      @Nullable Outline after) {}

  /**
   * What is not the same.
   *
   * @param b null where it is what stands there now
   * @param in tools that came in; of many not all are told, which the counts do
   */
  record EditionsCompared(
      EditionHead a,
      @Nullable EditionHead b,
      int cameIn,
      int wentOut,
      int changed,
      List<ToolHead> in,
      List<ToolHead> out,
      List<ToolChanged> changes,
      List<PartChanged> parts) {}

  /**
   * A holder or another part of stacks that is not the same.
   *
   * @param fields empty where it came in or went out with the stacks
   */
  record PartChanged(String code, List<FieldView> fields) {}

  private record State(
      Map<Long, PlacedTool> tools, SortedMap<String, String> parts, Map<String, String> contents) {}

  /**
   * Compares.
   *
   * @param b the later edition; null for what stands there now
   */
  @Transactional(readOnly = true)
  EditionsCompared compare(long a, @Nullable Long b) {
    EditionHead one = editions.get(a);
    EditionHead other = b == null ? null : editions.get(b);
    if (other != null && other.libraryId() != one.libraryId()) {
      throw Refusal.badRequest("edition %d is of another library than edition %d".formatted(b, a));
    }
    Map<Long, PlacedTool> before = store.tools(a);
    State after =
        other == null
            ? standing(one.libraryId(), before)
            : new State(store.tools(other.id()), store.parts(other.id()), Map.of());
    List<PlacedTool> in =
        after.tools().values().stream().filter(tool -> !before.containsKey(tool.toolId())).toList();
    List<PlacedTool> out =
        before.values().stream().filter(tool -> !after.tools().containsKey(tool.toolId())).toList();
    List<PlacedTool> changed =
        after.tools().values().stream()
            .filter(tool -> before.containsKey(tool.toolId()))
            .filter(tool -> differs(before.get(tool.toolId()), tool))
            .sorted(Comparator.comparing(PlacedTool::code))
            .toList();
    return new EditionsCompared(
        one,
        other,
        in.size(),
        out.size(),
        changed.size(),
        in.stream().limit(MOST_SHOWN).map(ToolHead::of).toList(),
        out.stream().limit(MOST_SHOWN).map(ToolHead::of).toList(),
        changes(before, changed.stream().limit(MOST_SHOWN).toList(), after.contents()),
        parts(store.parts(a), after));
  }

  private List<PartChanged> parts(SortedMap<String, String> before, State after) {
    List<String> changed =
        before.keySet().stream()
            .filter(after.parts()::containsKey)
            .filter(code -> !before.get(code).equals(after.parts().get(code)))
            .limit(MOST_SHOWN)
            .toList();
    Set<String> hashes = new HashSet<>();
    changed.forEach(code -> hashes.addAll(List.of(before.get(code), after.parts().get(code))));
    Map<String, String> contents = new HashMap<>(store.contents(hashes));
    contents.putAll(after.contents());
    return changed.stream()
        .map(code ->
            new PartChanged(
                code,
                views(
                    part(contents.get(before.get(code)), code),
                    part(contents.get(after.parts().get(code)), code))))
        .toList();
  }

  private static MergeTool part(String content, String code) {
    return PartFields.of(FrozenPart.read(content));
  }

  private static boolean differs(PlacedTool before, PlacedTool after) {
    return !before.hash().equals(after.hash())
        || before.number() != after.number()
        || !before.section().equals(after.section());
  }

  /** What stands there now; contents are kept only of tools that changed. */
  private State standing(long library, Map<Long, PlacedTool> before) {
    Map<Long, PlacedTool> tools = new LinkedHashMap<>();
    Map<String, String> contents = new HashMap<>();
    SortedMap<String, String> parts = new TreeMap<>();
    Set<String> known = new HashSet<>();
    before.values().forEach(tool -> known.add(tool.hash()));
    now.visit(
        library,
        some -> {
          some.tools().forEach(tool -> tools.put(tool.toolId(), tool));
          parts.putAll(some.parts());
          some.contents()
              .forEach((hash, content) -> {
                if (!known.contains(hash) && contents.size() < MOST_KEPT) {
                  contents.put(hash, content);
                }
              });
        });
    return new State(tools, parts, contents);
  }

  private List<ToolChanged> changes(
      Map<Long, PlacedTool> before, List<PlacedTool> changed, Map<String, String> fresh) {
    Set<String> hashes = new HashSet<>();
    changed.forEach(tool -> {
      hashes.add(tool.hash());
      hashes.add(before.get(tool.toolId()).hash());
    });
    Map<String, String> contents = new HashMap<>(store.contents(hashes));
    contents.putAll(fresh);
    List<ToolChanged> changes = new ArrayList<>();
    for (PlacedTool tool : changed) {
      PlacedTool was = before.get(tool.toolId());
      String wasContent = contents.get(was.hash());
      String isContent = contents.get(tool.hash());
      if (wasContent != null && isContent != null) {
        changes.add(change(was, FrozenTool.read(wasContent), tool, FrozenTool.read(isContent)));
      }
    }
    return changes;
  }

  private static ToolChanged change(
      PlacedTool was, FrozenTool before, PlacedTool is, FrozenTool after) {
    List<FieldView> fields =
        views(
            ToolFields.of(before, was.number(), was.section()),
            ToolFields.of(after, is.number(), is.section()));
    return new ToolChanged(
        is.toolId(),
        is.code(),
        was.code(),
        is.name(),
        fields,
        outline(before).orElse(null),
        outline(after).orElse(null));
  }

  private static List<FieldView> views(MergeTool before, MergeTool after) {
    return FieldChange.between(before, after).stream()
        .map(change ->
            new FieldView(
                change.name(),
                change.before().orElse(null),
                change.after().orElse(null),
                change.writing()))
        .toList();
  }

  private static Optional<Outline> outline(FrozenTool frozen) {
    return Silhouettes.of(Completed.of(Interpreter.interpret(frozen.tool()).tool()).tool());
  }
}
