package arborline.server.naming;

import arborline.core.library.Codes;
import arborline.core.naming.NamePattern;
import arborline.core.naming.Renaming;
import arborline.core.tool.Tool;
import arborline.server.library.LibraryPatterns;
import arborline.server.library.LibraryPatterns.NamingPatterns;
import arborline.server.library.LibraryTools;
import arborline.server.support.Refusal;
import arborline.server.tool.CurrentTool;
import arborline.server.tool.HeldCodes;
import arborline.server.tool.ToolDraft;
import arborline.server.tool.ToolJudge;
import arborline.server.tool.ToolStore;
import arborline.server.tool.Tools;
import arborline.server.trail.Trail;
import arborline.server.trail.TrailRecord;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Isolation;
import org.springframework.transaction.annotation.Transactional;

/** Naming patterns of libraries: what they make of the tools, renaming, reserving codes. */
@Service
class Naming {

  static final int PAGE = 500;
  private static final int ATTEMPTS = 50;

  private final LibraryPatterns libraries;
  private final LibraryTools contents;
  private final Tools tools;
  private final ToolStore store;
  private final HeldCodes held;
  private final Trail trail;

  Naming(
      LibraryPatterns libraries,
      LibraryTools contents,
      Tools tools,
      ToolStore store,
      HeldCodes held,
      Trail trail) {
    this.libraries = libraries;
    this.contents = contents;
    this.tools = tools;
    this.store = store;
    this.held = held;
    this.trail = trail;
  }

  /**
   * What patterns make of a stretch of a library.
   *
   * @param codeFault why the pattern for codes is none; null where it is one
   * @param next cursor of the next stretch; null at the end
   */
  record NamingPreview(
      @Nullable String codeFault,
      @Nullable String nameFault,
      Map<Renaming.State, Long> counts,
      List<Renaming.Step> items,
      @Nullable Long next) {}

  /** One tool to rename, with what the person saw it would become. */
  record Wanted(long toolId, String code, String name) {}

  /**
   * What a renaming did.
   *
   * @param undo line of the trail that takes it back; 0 where nothing changed
   */
  record Renamed(int tools, long undo) {}

  /** A code that nobody else gets for a while. */
  record ReservedCode(String code, @Nullable String name, Instant until) {}

  @Transactional(readOnly = true)
  public NamingPatterns patterns(long libraryId) {
    return libraries.of(libraryId).patterns();
  }

  @Transactional
  public long keep(long libraryId, NamingPatterns wanted) {
    libraries.of(libraryId);
    pattern("code", wanted.code());
    pattern("name", wanted.name());
    return libraries.keep(libraryId, wanted);
  }

  private static Optional<NamePattern> pattern(String what, String text) {
    if (text.isBlank()) {
      return Optional.empty();
    }
    NamePattern.Read read = NamePattern.read(text);
    if (text.length() > 200 || read.fault().isPresent()) {
      throw Refusal.badRequest(
          "pattern for the %s: %s"
              .formatted(what, read.fault().orElse("200 characters are the most")));
    }
    return read.pattern();
  }

  /** What patterns, kept or just typed, make of the tools of a library from a cursor on. */
  @Transactional(readOnly = true)
  public NamingPreview preview(long libraryId, NamingPatterns typed, long after) {
    libraries.of(libraryId);
    NamePattern.Read code = NamePattern.read(typed.code());
    NamePattern.Read name = NamePattern.read(typed.name());
    List<Renaming.Known> known = stretch(libraryId, after);
    boolean more = known.size() > PAGE;
    List<Renaming.Known> shown = more ? known.subList(0, PAGE) : known;
    List<Renaming.Step> steps =
        new Renaming(
                code.pattern().filter(pattern -> !typed.code().isBlank()),
                name.pattern().filter(pattern -> !typed.name().isBlank()),
                taken())
            .plan(shown);
    return new NamingPreview(
        code.fault().orElse(null),
        name.fault().orElse(null),
        steps.stream().collect(Collectors.groupingBy(Renaming.Step::state, Collectors.counting())),
        steps,
        more ? shown.getLast().id() : null);
  }

  private List<Renaming.Known> stretch(long libraryId, long after) {
    List<Long> ids = contents.after(libraryId, after, PAGE + 1);
    Map<Long, CurrentTool> current = ids.isEmpty() ? Map.of() : tools.current(ids);
    return ids.stream().map(id -> new Renaming.Known(id, current.get(id).tool())).toList();
  }

  /** Asks the database once for each code that is considered. */
  private java.util.function.Predicate<String> taken() {
    Map<String, Boolean> asked = new HashMap<>();
    return key ->
        asked.computeIfAbsent(
            key, code -> tools.carries(code) || !held.why(List.of(code)).isEmpty());
  }

  /** Renames tools by the kept patterns, all or none; refused where the outcome is another now. */
  @Transactional
  public Renamed rename(long libraryId, List<Wanted> wanted) {
    LibraryPatterns.Named library = libraries.of(libraryId);
    if (wanted.isEmpty() || wanted.size() > PAGE) {
      throw Refusal.badRequest("1 to %d tools can be renamed at once".formatted(PAGE));
    }
    Map<Long, Wanted> seen =
        wanted.stream().collect(Collectors.toMap(Wanted::toolId, one -> one, (a, b) -> a));
    List<Renaming.Known> known = locked(libraryId, seen.keySet());
    List<Renaming.Step> steps =
        new Renaming(
                pattern("code", library.patterns().code()),
                pattern("name", library.patterns().name()),
                taken())
            .plan(known);
    List<RenameUndo.Renamed> done = new ArrayList<>();
    for (Renaming.Step step : steps) {
      Wanted saw = seen.get(step.id());
      if (step.state() != Renaming.State.CHANGES
          || !step.newCode().equals(saw.code())
          || !step.newName().equals(saw.name())) {
        throw Refusal.conflict(
            "%s would no longer become what was shown; nothing is renamed, look again"
                .formatted(step.code()));
      }
      done.add(rename(step));
    }
    long undo =
        trail.record(
            TrailRecord.of(
                    "library",
                    libraryId,
                    "renamed %s of %s"
                        .formatted(TrailRecord.count(done.size(), "tool"), library.library()))
                .undoneBy(RenameUndo.RENAMED, new RenameUndo.Deed(done)));
    return new Renamed(done.size(), undo);
  }

  private List<Renaming.Known> locked(long libraryId, Set<Long> ids) {
    List<Renaming.Known> known = new ArrayList<>();
    for (long id : ids.stream().sorted().toList()) {
      CurrentTool now = store.lock(id);
      contents.check(libraryId, id);
      known.add(new Renaming.Known(id, now.tool()));
    }
    return known;
  }

  private RenameUndo.Renamed rename(Renaming.Step step) {
    CurrentTool before = store.get(step.id());
    CurrentTool after = store.rename(before, step.newCode(), step.newName(), "renamed by pattern");
    return new RenameUndo.Renamed(
        step.id(), step.code(), step.name(), step.newCode(), before.versionNo(), after.versionNo());
  }

  /**
   * Reserves the code that a draft carries, or the next one that the pattern makes of it, for
   * whoever acts. Read committed: those who ask at once see each other and lock no gaps.
   */
  @Transactional(isolation = Isolation.READ_COMMITTED)
  public ReservedCode reserve(long libraryId, ToolDraft draft) {
    LibraryPatterns.Named library = libraries.of(libraryId);
    Tool tool = ToolJudge.inspect(draft).tool();
    String name =
        pattern("name", library.patterns().name())
            .flatMap(pattern -> pattern.fill(tool, 1).text())
            .orElse(null);
    if (!tool.code().isBlank()) {
      refuseTaken(tool.code());
      return held.reserve(tool.code())
          .map(until -> new ReservedCode(tool.code(), name, until))
          .orElseThrow(() -> Refusal.conflict("somebody else was just given code " + tool.code()));
    }
    return next(library, tool, name);
  }

  private void refuseTaken(String code) {
    String key = Codes.key(code);
    if (tools.carries(key)) {
      throw Refusal.conflict("code %s is used; a code is never given twice".formatted(code));
    }
    Optional.ofNullable(held.why(List.of(key)).get(key))
        .ifPresent(why -> {
          throw Refusal.conflict(why);
        });
  }

  private ReservedCode next(LibraryPatterns.Named library, Tool tool, @Nullable String name) {
    Optional<NamePattern> pattern = pattern("code", library.patterns().code());
    if (pattern.isEmpty()) {
      throw Refusal.badRequest(
          "%s has no pattern for codes; set one, or type a code".formatted(library.library()));
    }
    Set<String> lost = new java.util.HashSet<>();
    java.util.function.Predicate<String> taken = taken();
    for (int attempt = 0; attempt < ATTEMPTS; attempt++) {
      NamePattern.Filled filled =
          new Renaming(pattern, Optional.empty(), key -> lost.contains(key) || taken.test(key))
              .nextCode(tool);
      String code =
          filled
              .text()
              .orElseThrow(() ->
                  Refusal.badRequest("the code needs " + String.join(", ", filled.missing())));
      if (!pattern.get().running()) {
        refuseTaken(code);
      }
      Optional<Instant> until = held.reserve(code);
      if (until.isPresent()) {
        return new ReservedCode(code, name, until.get());
      }
      lost.add(Codes.key(code));
    }
    throw Refusal.conflict("no code could be reserved; try again");
  }
}
