package arborline.server.duplicate;

import arborline.core.duplicate.JoinedTool;
import arborline.core.tool.Value;
import arborline.server.account.Permission;
import arborline.server.right.ToolGuard;
import arborline.server.support.Refusal;
import arborline.server.support.Retried;
import arborline.server.tool.CurrentTool;
import arborline.server.tool.Holdings;
import arborline.server.tool.ToolBelongings;
import arborline.server.tool.ToolMerges;
import arborline.server.tool.ToolReference;
import arborline.server.tool.ToolStore;
import arborline.server.trail.Trail;
import arborline.server.trail.TrailRecord;
import arborline.server.trail.Undo;
import arborline.server.trail.UndoKind;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.TransactionDefinition;
import org.springframework.transaction.support.TransactionTemplate;

/** Makes one tool of several: all that refers to them refers to the one that is kept. */
@Service
class ToolMerging implements Undo<ToolMerging.Deed> {

  private static final UndoKind<Deed> KIND =
      new UndoKind<>("tools.merged", 1, Deed.class, Permission.EDIT);

  private final ToolStore tools;
  private final ToolMerges merges;
  private final Holdings holdings;
  private final ToolBelongings belongings;
  private final List<ToolReference> references;
  private final Trail trail;
  private final TransactionTemplate transaction;
  private final ToolGuard guard;

  ToolMerging(
      ToolStore tools,
      ToolMerges merges,
      Holdings holdings,
      ToolBelongings belongings,
      List<ToolReference> references,
      Trail trail,
      PlatformTransactionManager transactions,
      ToolGuard guard) {
    this.guard = guard;
    this.tools = tools;
    this.merges = merges;
    this.holdings = holdings;
    this.belongings = belongings;
    this.references = List.copyOf(references);
    this.trail = trail;
    this.transaction = new TransactionTemplate(transactions);
    this.transaction.setIsolationLevel(TransactionDefinition.ISOLATION_READ_COMMITTED);
  }

  /** What followed of one reference. */
  record Kept(String name, String kept) {}

  /** A tool that was merged into another. */
  record Part(long toolId, List<Long> mergedBefore, List<Kept> kept) {}

  /** Enough to take a merge back; the versions are equal where no value was taken over. */
  record Deed(long intoId, int versionBefore, int versionAfter, List<Part> parts) {}

  /**
   * What a merge does.
   *
   * @param sentences what becomes of all that refers to the tools
   * @param undo line of the trail that takes it back; 0 for a preview
   */
  record ToolsMerged(long toolId, String code, int version, List<String> sentences, long undo) {}

  /**
   * Does it, or says what it would do: that is done and taken back at once.
   *
   * @param others which are merged into the kept one
   * @param taken whose value is taken over, by symbol
   */
  ToolsMerged merge(long keptId, List<Long> others, Map<String, Long> taken, boolean preview) {
    return Retried.of(() ->
        transaction.execute(status -> {
          if (preview) {
            status.setRollbackOnly();
          }
          return merge(keptId, others, taken);
        }));
  }

  private ToolsMerged merge(long keptId, List<Long> others, Map<String, Long> taken) {
    Map<Long, CurrentTool> locked =
        tools.lockAll(Stream.concat(Stream.of(keptId), others.stream()).toList()).stream()
            .collect(Collectors.toMap(CurrentTool::id, Function.identity()));
    guard.needChange(locked.keySet());
    locked.values().forEach(merges::refuseMerged);
    CurrentTool before = locked.get(keptId);
    Set<Long> libraries =
        holdings.of(others).values().stream()
            .flatMap(List::stream)
            .map(Holdings.UsedIn::libraryId)
            .collect(Collectors.toSet());
    String codes =
        others.stream().map(id -> locked.get(id).code()).collect(Collectors.joining(", "));
    CurrentTool kept = withValues(before, locked, taken, codes);
    List<Part> parts = new ArrayList<>();
    List<String> sentences = new ArrayList<>();
    for (long other : others) {
      parts.add(part(locked.get(other), kept, sentences));
    }
    belongings.moved(locked.keySet());
    merges.tell(List.of(kept));
    String text = "merged %s into %s".formatted(codes, kept.code());
    others.forEach(id -> trail.record(TrailRecord.of("tool", id, text)));
    long undo =
        trail.record(
            TrailRecord.of("tool", keptId, text)
                .in(libraries)
                .undoneBy(KIND, new Deed(keptId, before.versionNo(), kept.versionNo(), parts)));
    return new ToolsMerged(keptId, kept.code(), kept.versionNo(), sentences, undo);
  }

  private CurrentTool withValues(
      CurrentTool kept, Map<Long, CurrentTool> locked, Map<String, Long> taken, String codes) {
    Map<String, Value> values = new TreeMap<>();
    taken.forEach((symbol, id) -> {
      CurrentTool other =
          Optional.ofNullable(locked.get(id))
              .orElseThrow(() ->
                  Refusal.badRequest(
                      "%s is to be taken from tool %d, which is not merged".formatted(symbol, id)));
      Value value =
          Optional.ofNullable(other.tool().values().get(symbol))
              .orElseThrow(
                  () -> Refusal.badRequest("%s does not state %s".formatted(other.code(), symbol)));
      values.put(symbol, value);
    });
    JoinedTool joined = JoinedTool.of(kept.tool(), values);
    joined
        .hold()
        .ifPresent(hold -> {
          throw Refusal.conflict(
              "%s would be wrong with these values: %s".formatted(kept.code(), hold.message()),
              List.of(hold));
        });
    return joined.tool().equals(kept.tool())
        ? kept
        : tools.change(kept, joined.tool(), "merged with " + codes);
  }

  private Part part(CurrentTool from, CurrentTool into, List<String> sentences) {
    List<Kept> kept = new ArrayList<>();
    for (ToolReference reference : references) {
      ToolReference.Followed followed = reference.follow(from, into);
      if (!followed.kept().isEmpty()) {
        kept.add(new Kept(reference.name(), followed.kept()));
      }
      sentences.addAll(followed.sentences());
    }
    return new Part(from.id(), merges.merge(from.id(), into.id()), kept);
  }

  @Override
  public UndoKind<Deed> kind() {
    return KIND;
  }

  @Override
  public void takeBack(Deed deed) {
    Map<Long, CurrentTool> locked =
        tools
            .lockAll(
                Stream.concat(Stream.of(deed.intoId()), deed.parts().stream().map(Part::toolId))
                    .toList())
            .stream()
            .collect(Collectors.toMap(CurrentTool::id, Function.identity()));
    CurrentTool into = locked.get(deed.intoId());
    merges.refuseMerged(into);
    boolean joined = deed.versionBefore() != deed.versionAfter();
    if (joined && into.versionNo() != deed.versionAfter()) {
      throw Refusal.conflict(
          "%s was changed again since; take that back first".formatted(into.code()));
    }
    for (Part part : deed.parts().reversed()) {
      merges.part(part.toolId(), part.mergedBefore());
      for (Kept kept : part.kept().reversed()) {
        reference(kept.name()).goBack(locked.get(part.toolId()), into, kept.kept());
      }
    }
    belongings.moved(locked.keySet());
    CurrentTool former =
        joined
            ? tools.change(
                into,
                tools.version(into, deed.versionBefore()),
                "back to version " + deed.versionBefore())
            : into;
    merges.tell(
        Stream.concat(
                Stream.of(former), deed.parts().stream().map(part -> locked.get(part.toolId())))
            .toList());
  }

  private ToolReference reference(String name) {
    return references.stream()
        .filter(reference -> reference.name().equals(name))
        .findFirst()
        .orElseThrow(
            () -> Refusal.conflict("what was kept of '%s' can no longer be read".formatted(name)));
  }
}
