package arborline.server.derived;

import arborline.core.edition.FrozenEntry;
import arborline.core.exchange.RawItem;
import arborline.core.sharing.LibraryRight;
import arborline.core.tool.outline.Outline;
import arborline.server.derived.BaseUpdateView.UpdatedField;
import arborline.server.edition.EditionHead;
import arborline.server.edition.EditionStore;
import arborline.server.edition.EditionStore.PlacedTool;
import arborline.server.edition.LibraryNow;
import arborline.server.right.LibraryGuard;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What is not in a derived library as in the edition of its base that was taken in. */
@Service
class DerivedDifferences {

  private static final int MOST_SHOWN = 500;
  private static final int CHUNK = 500;

  private final DerivedStore store;
  private final EditionStore editions;
  private final LibraryNow now;
  private final LibraryGuard guard;

  DerivedDifferences(
      DerivedStore store, EditionStore editions, LibraryNow now, LibraryGuard guard) {
    this.store = store;
    this.editions = editions;
    this.now = now;
    this.guard = guard;
  }

  /**
   * What a library came from.
   *
   * @param baseId null where whoever asks does not see the base, or it was deleted
   * @param base its name; empty where whoever asks does not see it
   * @param deleted true where the base is not there any more
   * @param edition that was taken in
   * @param newest number of the newest edition of the base that can be taken in; null for none
   */
  record DerivedFrom(
      @Nullable Long baseId,
      String base,
      boolean deleted,
      String ending,
      EditionHead edition,
      @Nullable Integer newest) {}

  /** Where a library came from; nothing where it is not derived. */
  @Transactional(readOnly = true)
  Optional<DerivedFrom> from(long library) {
    guard.need(library, LibraryRight.USE);
    return store
        .of(library)
        .map(one -> {
          DerivedStore.Base base = store.base(one.baseId());
          boolean seen = base.there() && guard.right(one.baseId()).isPresent();
          EditionHead edition = editions.get(one.editionId());
          Optional<EditionHead> newest =
              seen
                  ? editions.newest(one.baseId()).filter(found -> found.number() > edition.number())
                  : Optional.empty();
          return new DerivedFrom(
              seen ? one.baseId() : null,
              seen || !base.there() ? base.name() : "",
              !base.there(),
              one.ending(),
              edition,
              newest.map(EditionHead::number).orElse(null));
        });
  }

  /** A tool here and which of its fields are not as in the base; none where all are. */
  record ToolMarks(long toolId, boolean own, List<String> fields) {}

  /** What is not as in the base, of some tools that the library holds. */
  @Transactional(readOnly = true)
  List<ToolMarks> marks(long library, Collection<Long> toolIds) {
    guard.need(library, LibraryRight.USE);
    Optional<DerivedLibrary> derived = store.of(library);
    if (derived.isEmpty()) {
      return List.of();
    }
    Map<Long, Long> bases = store.bases(library);
    Map<Long, PlacedTool> edition = editions.tools(derived.get().editionId());
    List<ToolMarks> marks = new ArrayList<>();
    compared(derived.get(), toolIds, bases, edition)
        .forEach((tool, pair) ->
            marks.add(
                new ToolMarks(
                    tool,
                    pair.before() == null,
                    pair.before() == null
                        ? List.of()
                        : BaseUpdateView.fields(pair.before(), pair.after()).stream()
                            .map(UpdatedField::name)
                            .toList())));
    return marks;
  }

  /**
   * A tool as the edition has it, and as it stands here.
   *
   * @param before null for one of its own
   */
  private record Pair(@Nullable FrozenEntry before, FrozenEntry after) {}

  private Map<Long, Pair> compared(
      DerivedLibrary derived,
      Collection<Long> toolIds,
      Map<Long, Long> bases,
      Map<Long, PlacedTool> edition) {
    Map<Long, FrozenEntry> standing = now.of(derived.libraryId(), toolIds);
    Set<Long> wanted = new HashSet<>();
    standing.keySet().forEach(tool -> wanted.add(bases.getOrDefault(tool, 0L)));
    wanted.retainAll(edition.keySet());
    Map<Long, FrozenEntry> before = editions.frozen(wanted.stream().map(edition::get).toList());
    Map<Long, Pair> pairs = new HashMap<>();
    standing.forEach((tool, entry) ->
        pairs.put(tool, new Pair(before.get(bases.getOrDefault(tool, 0L)), entry)));
    return pairs;
  }

  /** A tool that is not as in the base. */
  record ToolDifference(
      long toolId,
      String code,
      String name,
      List<UpdatedField> fields,
      @Nullable Outline before,
      @Nullable Outline after) {}

  /** A tool that one of the two has alone. */
  record LoneTool(@Nullable Long toolId, String code, String name) {}

  /**
   * All that is not as in the base; of many not all are told, which the counts do.
   *
   * @param own tools that only this library has
   * @param out tools of the edition that it does not have
   */
  record LibraryDifferences(
      int changedCount,
      int ownCount,
      int outCount,
      List<ToolDifference> changed,
      List<LoneTool> own,
      List<LoneTool> out) {}

  @Transactional(readOnly = true)
  LibraryDifferences all(long library) {
    guard.need(library, LibraryRight.USE);
    Optional<DerivedLibrary> derived = store.of(library);
    if (derived.isEmpty()) {
      return new LibraryDifferences(0, 0, 0, List.of(), List.of(), List.of());
    }
    Map<Long, Long> bases = store.bases(library);
    Map<Long, PlacedTool> edition = editions.tools(derived.get().editionId());
    List<ToolDifference> changed = new ArrayList<>();
    List<LoneTool> own = new ArrayList<>();
    int[] counts = {0, 0};
    List<Long> tools = store.tools(library);
    for (int from = 0; from < tools.size(); from += CHUNK) {
      compared(
              derived.get(),
              tools.subList(from, Math.min(tools.size(), from + CHUNK)),
              bases,
              edition)
          .forEach((tool, pair) -> {
            String code = pair.after().tool().code();
            String name = pair.after().tool().tool().text(RawItem.NAME);
            if (pair.before() == null) {
              counts[1]++;
              own.add(new LoneTool(tool, code, name));
              return;
            }
            List<UpdatedField> fields = BaseUpdateView.fields(pair.before(), pair.after());
            if (!fields.isEmpty()) {
              counts[0]++;
              changed.add(
                  new ToolDifference(
                      tool,
                      code,
                      name,
                      fields,
                      BaseUpdateView.outline(Optional.of(pair.before())),
                      BaseUpdateView.outline(Optional.of(pair.after()))));
            }
          });
    }
    Set<Long> here = new HashSet<>(bases.values());
    here.addAll(store.held(library, edition.keySet()));
    List<PlacedTool> out =
        edition.values().stream().filter(tool -> !here.contains(tool.toolId())).toList();
    changed.sort(Comparator.comparing(ToolDifference::code));
    own.sort(Comparator.comparing(LoneTool::code));
    return new LibraryDifferences(
        counts[0],
        counts[1],
        out.size(),
        changed.stream().limit(MOST_SHOWN).toList(),
        own.stream().limit(MOST_SHOWN).toList(),
        out.stream()
            .limit(MOST_SHOWN)
            .map(tool -> new LoneTool(null, tool.code(), tool.name()))
            .toList());
  }
}
