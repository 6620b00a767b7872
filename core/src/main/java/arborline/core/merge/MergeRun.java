package arborline.core.merge;

import arborline.core.library.Codes;
import arborline.core.merge.MergeSide.Named;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.Deque;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.SortedMap;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.function.Function;
import java.util.stream.Collectors;

/** One merge of two libraries while it is worked out. */
final class MergeRun {

  private final MergeSide base;
  private final MergeSide theirs;
  private final MergeSide ours;
  private final MergeAnswers answers;
  private final SortedMap<String, MergedTool> kept = new TreeMap<>();
  private final Map<String, MergedTool> removed = new HashMap<>();
  private final List<MergeConflict> conflicts = new ArrayList<>();

  MergeRun(
      Map<String, MergeTool> base,
      Map<String, MergeTool> theirs,
      Map<String, MergeTool> ours,
      MergeAnswers answers) {
    Set<String> keys = base.keySet().stream().map(Codes::key).collect(Collectors.toSet());
    this.base = MergeSide.base(base);
    this.theirs = MergeSide.of(theirs, keys);
    this.ours = MergeSide.of(ours, keys);
    this.answers = answers;
  }

  LibraryMerge.Merged merged() {
    Set<String> all = new TreeSet<>(base.all());
    all.addAll(theirs.all());
    all.addAll(ours.all());
    all.forEach(this::decide);
    keepParts();
    Map<String, String> codes = new MergedCodes(kept, this::askCode).settled();
    SortedMap<String, MergeTool> tools = new TreeMap<>();
    Map<String, String> identities = new HashMap<>();
    kept.forEach((identity, tool) -> {
      tools.put(codes.get(identity), tool.under(codes));
      identities.put(codes.get(identity), identity);
    });
    conflicts.sort(Comparator.comparing(MergeConflict::code).thenComparing(MergeConflict::field));
    return new LibraryMerge.Merged(tools, identities, List.copyOf(conflicts));
  }

  private void decide(String identity) {
    Optional<Named> before = base.tool(identity);
    Optional<Named> incoming = theirs.tool(identity);
    Optional<Named> local = ours.tool(identity);
    if (incoming.isPresent() && local.isPresent()) {
      if (before.isEmpty() && !incoming.get().tool().sameClass(local.get().tool())) {
        chooseWhole(identity, incoming.get(), local.get());
      } else {
        kept.put(identity, joined(identity, before, incoming.get(), local.get()));
      }
    } else if (incoming.isPresent()) {
      onOneSide(identity, before, theirs, incoming.get(), MergeAnswers.Side.THEIRS);
    } else if (local.isPresent()) {
      onOneSide(identity, before, ours, local.get(), MergeAnswers.Side.OURS);
    }
  }

  /** Two different tools were added under one code. */
  private void chooseWhole(String identity, Named incoming, Named local) {
    boolean incomingStands =
        askWhole(identity).filter(MergeAnswers.Side.THEIRS::equals).isPresent();
    kept.put(
        identity,
        incomingStands
            ? MergedTool.of(theirs, incoming, Optional.empty())
            : MergedTool.of(ours, local, Optional.empty()));
  }

  private void onOneSide(
      String identity,
      Optional<Named> before,
      MergeSide side,
      Named named,
      MergeAnswers.Side which) {
    MergedTool tool = MergedTool.of(side, named, before);
    if (before.isEmpty()) {
      kept.put(identity, tool);
    } else if (!changed(before.get(), side, named)) {
      removed.put(identity, tool);
    } else if (askWhole(identity).filter(answer -> answer != which).isPresent()) {
      removed.put(identity, tool);
    } else {
      kept.put(identity, tool);
    }
  }

  private boolean changed(Named before, MergeSide side, Named now) {
    return !before.tool().sameFields(now.tool())
        || !base.identities(before.tool()).sameSize(side.identities(now.tool()))
        || !new CodeText(before.code()).sameSize(new CodeText(now.code()));
  }

  private MergedTool joined(String identity, Optional<Named> before, Named incoming, Named local) {
    Function<MergeTool, SortedMap<String, MergeField>> fields = MergeTool::fields;
    SortedMap<String, MergeField> was = before.map(Named::tool).map(fields).orElseGet(TreeMap::new);
    Set<String> names = new TreeSet<>(was.keySet());
    names.addAll(incoming.tool().fields().keySet());
    names.addAll(local.tool().fields().keySet());
    SortedMap<String, MergeField> joined = new TreeMap<>();
    for (String name : names) {
      pick(
              identity,
              name,
              Optional.ofNullable(was.get(name)),
              Optional.ofNullable(incoming.tool().fields().get(name)),
              Optional.ofNullable(local.tool().fields().get(name)))
          .ifPresent(value -> joined.put(name, value));
    }
    PartCodes parts =
        pick(
                identity,
                MergeConflict.PARTS,
                before.map(tool -> base.identities(tool.tool())),
                Optional.of(theirs.identities(incoming.tool())),
                Optional.of(ours.identities(local.tool())))
            .orElse(PartCodes.NONE);
    CodeText code =
        pick(
                identity,
                MergeConflict.CODE,
                before.flatMap(Named::codeText),
                incoming.codeText(),
                local.codeText())
            .orElseThrow();
    return new MergedTool(joined, parts, code.code(), before.map(Named::code));
  }

  private <F extends MergeField> Optional<F> pick(
      String identity, String field, Optional<F> was, Optional<F> incoming, Optional<F> local) {
    FieldPick<F> pick = FieldPick.of(was, incoming, local);
    if (!pick.open()) {
      return pick.value();
    }
    String code = conflictCode(identity);
    Optional<MergeAnswers.Side> answer = answers.to(code, field);
    if (answer.isPresent()) {
      return answer.get() == MergeAnswers.Side.OURS ? local : incoming;
    }
    conflicts.add(
        new MergeConflict(
            code,
            field,
            was.map(this::namedAsInBase),
            incoming.map(this::namedAsInBase),
            local.map(this::namedAsInBase)));
    return pick.value();
  }

  private MergeField namedAsInBase(MergeField field) {
    return field instanceof PartCodes parts
        ? new PartCodes(parts.codes().stream().map(this::conflictCode).toList())
        : field;
  }

  /** What a conflict calls a tool: its code in the base, or that of an added one. */
  private String conflictCode(String identity) {
    return base.tool(identity)
        .or(() -> ours.tool(identity))
        .or(() -> theirs.tool(identity))
        .map(Named::code)
        .orElse(identity);
  }

  /** Asks about a whole tool unless that is answered. */
  private Optional<MergeAnswers.Side> askWhole(String identity) {
    String code = conflictCode(identity);
    Optional<MergeAnswers.Side> answer = answers.to(code, MergeConflict.WHOLE_TOOL);
    if (answer.isEmpty()) {
      conflicts.add(
          new MergeConflict(
              code,
              MergeConflict.WHOLE_TOOL,
              base.tool(identity).map(Named::tool).map(MergeTool::settled),
              theirs.tool(identity).map(Named::tool).map(MergeTool::settled),
              ours.tool(identity).map(Named::tool).map(MergeTool::settled)));
    }
    return answer;
  }

  private void askCode(String identity) {
    String code = conflictCode(identity);
    boolean asked =
        conflicts.stream()
            .anyMatch(conflict ->
                conflict.code().equals(code) && conflict.field().equals(MergeConflict.CODE));
    if (!asked) {
      conflicts.add(
          new MergeConflict(
              code,
              MergeConflict.CODE,
              base.tool(identity).flatMap(Named::codeText),
              theirs.tool(identity).flatMap(Named::codeText),
              ours.tool(identity).flatMap(Named::codeText)));
    }
  }

  /** What was removed on one side stays where something that is kept is made of it. */
  private void keepParts() {
    Deque<MergedTool> look = new ArrayDeque<>(kept.values());
    while (!look.isEmpty()) {
      for (String part : look.pop().parts().codes()) {
        MergedTool needed = removed.remove(part);
        if (needed != null) {
          kept.put(part, needed);
          look.add(needed);
          askNeeded(part);
        }
      }
    }
  }

  private void askNeeded(String identity) {
    MergeAnswers.Side holder =
        ours.tool(identity).isPresent() ? MergeAnswers.Side.OURS : MergeAnswers.Side.THEIRS;
    if (askWhole(identity).filter(answer -> answer != holder).isPresent()) {
      conflicts.add(
          new MergeConflict(
              conflictCode(identity),
              MergeConflict.WHOLE_TOOL,
              base.tool(identity).map(Named::tool).map(MergeTool::settled),
              theirs.tool(identity).map(Named::tool).map(MergeTool::settled),
              ours.tool(identity).map(Named::tool).map(MergeTool::settled)));
    }
  }
}
