package arborline.core.edition;

import arborline.core.library.Codes;
import arborline.core.merge.LibraryMerge;
import arborline.core.merge.MergeAnswers;
import arborline.core.merge.MergeConflict;
import arborline.core.merge.MergeTool;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalLong;
import java.util.Set;

/**
 * What becomes of a derived library that takes in a newer edition of its base: {@link LibraryMerge}
 * of the edition it came from, the newer one, and what stands there. Its tools carry the codes of
 * the base with an ending of their own, because a code names one tool of the shop.
 */
public final class BaseUpdate {

  /**
   * A tool of the derived library.
   *
   * @param base the tool of the base that it came from; empty for one of its own
   */
  public record OwnTool(long toolId, OptionalLong base, FrozenEntry entry) {}

  /** What becomes of a tool. */
  public enum Kind {
    ADDED,
    CHANGED,
    REMOVED
  }

  /**
   * A tool of the derived library that does not stay as it is.
   *
   * @param toolId empty for one that comes in
   * @param base the tool of the base that it comes from; empty for one of its own
   * @param before empty for one that comes in
   * @param after empty for one that goes out
   * @param theirs as the newer edition of the base has it; empty where it does not
   */
  public record Step(
      Kind kind,
      OptionalLong toolId,
      OptionalLong base,
      Optional<FrozenEntry> before,
      Optional<FrozenEntry> after,
      Optional<FrozenEntry> theirs) {

    /** The code that it has, or gets. */
    public String code() {
      return before.or(() -> after).orElseThrow().tool().code();
    }
  }

  /**
   * A question.
   *
   * @param toolId of the derived library; empty where it has none any more
   */
  public record Open(
      MergeConflict conflict,
      OptionalLong toolId,
      Optional<FrozenEntry> before,
      Optional<FrozenEntry> theirs,
      Optional<FrozenEntry> ours) {}

  /** What becomes of all tools, by code, and what has to be answered before. */
  public record Outcome(List<Step> steps, List<Open> open) {}

  private final Map<Long, FrozenEntry> before;
  private final Map<Long, FrozenEntry> now;
  private final String ending;
  private final Map<String, Long> baseByKey = new HashMap<>();
  private final Map<String, OwnTool> ownByKey = new HashMap<>();

  private BaseUpdate(Map<Long, FrozenEntry> before, Map<Long, FrozenEntry> now, String ending) {
    this.before = before;
    this.now = now;
    this.ending = ending;
  }

  /**
   * Works it out.
   *
   * @param before tools of the edition that the derived library came from, by tool
   * @param now tools of the newer edition, by tool
   * @param ending what the codes of the base get at their end; tools of the base that the derived
   *     library holds themselves are left out by the caller on all three sides
   */
  public static Outcome of(
      Map<Long, FrozenEntry> before,
      Map<Long, FrozenEntry> now,
      List<OwnTool> ours,
      String ending,
      MergeAnswers answers) {
    return new BaseUpdate(before, now, ending).outcome(ours, answers);
  }

  private Outcome outcome(List<OwnTool> ours, MergeAnswers answers) {
    Map<String, MergeTool> base = new HashMap<>();
    before.forEach((id, entry) -> {
      base.put(entry.tool().code(), entry.fields());
      baseByKey.put(key(entry), id);
    });
    Map<String, MergeTool> theirs = new HashMap<>();
    now.forEach((id, entry) -> {
      theirs.put(entry.tool().code(), fields(entry, Optional.ofNullable(before.get(id))));
      if (!before.containsKey(id)) {
        baseByKey.putIfAbsent(key(entry), id);
      }
    });
    Map<String, MergeTool> own = new HashMap<>();
    for (OwnTool one : ours) {
      Optional<FrozenEntry> came = came(one);
      Optional<FrozenEntry> called = came.filter(entry -> kept(one, entry));
      if (called.isPresent()) {
        own.put(called.get().tool().code(), one.entry().fields());
        ownByKey.put(key(called.get()), one);
      } else {
        Optional<FrozenEntry> former = one.base().isEmpty() ? Optional.empty() : former(one);
        own.put(one.entry().tool().code(), fields(one.entry(), former));
        ownByKey.put(key(former.orElse(one.entry())), one);
      }
    }
    LibraryMerge.Merged merged = LibraryMerge.merge(base, theirs, own, answers);
    return new Outcome(steps(merged, ours), merged.conflicts().stream().map(this::open).toList());
  }

  private static String key(FrozenEntry entry) {
    return Codes.key(entry.tool().code());
  }

  /** With the code that it had in the older edition, where it has another one. */
  private static MergeTool fields(FrozenEntry entry, Optional<FrozenEntry> former) {
    return new MergeTool(
        entry.fields().fields(),
        entry.fields().parts(),
        former.map(was -> was.tool().code()).filter(code -> !Codes.key(code).equals(key(entry))));
  }

  /** The tool of the base that one came from, as the older edition has it, else the newer one. */
  private Optional<FrozenEntry> came(OwnTool one) {
    return one.base().isEmpty()
        ? Optional.empty()
        : former(one).or(() -> Optional.ofNullable(now.get(one.base().getAsLong())));
  }

  private Optional<FrozenEntry> former(OwnTool one) {
    return Optional.ofNullable(before.get(one.base().getAsLong()));
  }

  /** True where the tool still has the code that it came in with. */
  private boolean kept(OwnTool one, FrozenEntry came) {
    return key(one.entry()).equals(Codes.key(came.tool().code() + ending));
  }

  private List<Step> steps(LibraryMerge.Merged merged, List<OwnTool> ours) {
    List<Step> steps = new ArrayList<>();
    Set<Long> stay = new HashSet<>();
    merged
        .tools()
        .forEach((code, fields) -> {
          String identity = merged.identities().get(code);
          Optional<OwnTool> own = Optional.ofNullable(ownByKey.get(identity));
          own.ifPresent(one -> stay.add(one.toolId()));
          FrozenEntry after =
              FrozenEntry.of(fields, own.map(one -> ownCode(one, code)).orElse(code + ending));
          if (own.filter(one -> same(one.entry(), after)).isEmpty()) {
            OptionalLong from = base(identity, own);
            steps.add(
                new Step(
                    own.isPresent() ? Kind.CHANGED : Kind.ADDED,
                    own.map(one -> OptionalLong.of(one.toolId())).orElse(OptionalLong.empty()),
                    from,
                    own.map(OwnTool::entry),
                    Optional.of(after),
                    from.isEmpty()
                        ? Optional.empty()
                        : Optional.ofNullable(now.get(from.getAsLong()))));
          }
        });
    ours.stream()
        .filter(one -> !stay.contains(one.toolId()))
        .forEach(one ->
            steps.add(
                new Step(
                    Kind.REMOVED,
                    OptionalLong.of(one.toolId()),
                    one.base(),
                    Optional.of(one.entry()),
                    Optional.empty(),
                    Optional.empty())));
    return steps;
  }

  private OptionalLong base(String identity, Optional<OwnTool> own) {
    Long id = baseByKey.get(identity);
    return own.map(OwnTool::base)
        .orElseGet(() -> id == null ? OptionalLong.empty() : OptionalLong.of(id));
  }

  /** Its own code, unless the base renamed the tool. */
  private String ownCode(OwnTool one, String merged) {
    String own = one.entry().tool().code();
    boolean stays =
        Codes.key(merged).equals(Codes.key(own))
            || came(one).filter(was -> Codes.key(merged).equals(key(was))).isPresent();
    return stays ? own : merged + ending;
  }

  private static boolean same(FrozenEntry one, FrozenEntry other) {
    return one.tool().code().equals(other.tool().code())
        && FieldChange.between(one.fields(), other.fields()).isEmpty();
  }

  private Open open(MergeConflict conflict) {
    String key = Codes.key(conflict.code());
    Optional<Long> base = Optional.ofNullable(baseByKey.get(key));
    Optional<OwnTool> own = Optional.ofNullable(ownByKey.get(key));
    return new Open(
        conflict,
        own.map(one -> OptionalLong.of(one.toolId())).orElse(OptionalLong.empty()),
        base.map(before::get),
        base.map(now::get),
        own.map(OwnTool::entry));
  }
}
