package arborline.server.library;

import arborline.core.library.Codes;
import arborline.core.naming.NamePattern;
import arborline.core.naming.Renaming;
import arborline.core.tool.Tool;
import arborline.server.support.Refusal;
import arborline.server.trail.Trail;
import arborline.server.trail.TrailRecord;
import jakarta.persistence.EntityManager;
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

  private final EntityManager entities;
  private final ToolStore shelves;
  private final ToolRepository tools;
  private final VersionRepository versions;
  private final HeldCodes held;
  private final Trail trail;

  Naming(
      EntityManager entities,
      ToolStore shelves,
      ToolRepository tools,
      VersionRepository versions,
      HeldCodes held,
      Trail trail) {
    this.entities = entities;
    this.shelves = shelves;
    this.tools = tools;
    this.versions = versions;
    this.held = held;
    this.trail = trail;
  }

  /** The patterns of a library; an empty one asks for nothing. */
  record NamingPatterns(String code, String name) {}

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
    Library library = shelves.library(libraryId);
    return new NamingPatterns(library.codePattern, library.namePattern);
  }

  @Transactional
  public long keep(long libraryId, NamingPatterns wanted) {
    Library library = shelves.library(libraryId);
    NamingPatterns before = new NamingPatterns(library.codePattern, library.namePattern);
    pattern("code", wanted.code());
    pattern("name", wanted.name());
    if (before.equals(wanted)) {
      return 0;
    }
    library.codePattern = wanted.code();
    library.namePattern = wanted.name();
    return trail.record(
        TrailRecord.of("library", libraryId, "changed the naming patterns of " + library.name)
            .undoneBy(RenameUndo.PATTERNS, new RenameUndo.Patterns(libraryId, before, wanted)));
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
    shelves.library(libraryId);
    NamePattern.Read code = NamePattern.read(typed.code());
    NamePattern.Read name = NamePattern.read(typed.name());
    List<Renaming.Known> known = stretch(libraryId, after);
    boolean more = known.size() > PAGE;
    List<Renaming.Known> shown = more ? known.subList(0, PAGE) : known;
    List<Renaming.Step> steps =
        new Renaming(
                code.pattern().filter(each -> !typed.code().isBlank()),
                name.pattern().filter(each -> !typed.name().isBlank()),
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
    return entities
        .createQuery(
            "select t, v from Entry e join ShopTool t on t.id = e.toolId"
                + " join ToolVersion v on v.id = t.versionId"
                + " where e.libraryId = :library and t.id > :after order by t.id",
            Object[].class)
        .setParameter("library", libraryId)
        .setParameter("after", after)
        .setMaxResults(PAGE + 1)
        .getResultStream()
        .map(row -> known((ShopTool) row[0], (ToolVersion) row[1]))
        .toList();
  }

  private static Renaming.Known known(ShopTool owner, ToolVersion version) {
    return new Renaming.Known(owner.id, version.tool(owner.code));
  }

  /** Asks the database once for each code that is considered. */
  private java.util.function.Predicate<String> taken() {
    Map<String, Boolean> asked = new HashMap<>();
    return key ->
        asked.computeIfAbsent(
            key, each -> tools.existsByCodeKey(each) || !held.why(List.of(each)).isEmpty());
  }

  /** Renames tools by the kept patterns, all or none; refused where the outcome is another now. */
  @Transactional
  public Renamed rename(long libraryId, List<Wanted> wanted) {
    Library library = shelves.library(libraryId);
    if (wanted.isEmpty() || wanted.size() > PAGE) {
      throw Refusal.badRequest("1 to %d tools can be renamed at once".formatted(PAGE));
    }
    Map<Long, Wanted> seen =
        wanted.stream().collect(Collectors.toMap(Wanted::toolId, each -> each, (a, b) -> a));
    List<Renaming.Known> known = locked(libraryId, seen.keySet());
    List<Renaming.Step> steps =
        new Renaming(
                pattern("code", library.codePattern), pattern("name", library.namePattern), taken())
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
                        .formatted(TrailRecord.count(done.size(), "tool"), library.name))
                .undoneBy(RenameUndo.TOOLS, new RenameUndo.Deed(done)));
    return new Renamed(done.size(), undo);
  }

  private List<Renaming.Known> locked(long libraryId, Set<Long> ids) {
    List<Renaming.Known> known = new ArrayList<>();
    for (long id : ids.stream().sorted().toList()) {
      ShopTool owner = tools.lock(id).orElseThrow(() -> Refusal.notFound("there is no tool " + id));
      shelves.entry(libraryId, id);
      known.add(known(owner, versions.findById(owner.versionId).orElseThrow()));
    }
    return known;
  }

  private RenameUndo.Renamed rename(Renaming.Step step) {
    ShopTool owner = tools.findById(step.id()).orElseThrow();
    int before = owner.versionNo;
    Tool tool = versions.findById(owner.versionId).orElseThrow().tool(owner.code);
    shelves.rename(owner, tool, step.newCode(), step.newName(), "renamed by pattern");
    return new RenameUndo.Renamed(
        owner.id, step.code(), step.name(), step.newCode(), before, owner.versionNo);
  }

  /**
   * Reserves the code that a draft carries, or the next one that the pattern makes of it, for
   * whoever acts. Read committed: those who ask at once see each other and lock no gaps.
   */
  @Transactional(isolation = Isolation.READ_COMMITTED)
  public ReservedCode reserve(long libraryId, ToolDraft draft) {
    Library library = shelves.library(libraryId);
    Tool tool = ToolJudge.inspect(draft.raw()).tool();
    String name =
        pattern("name", library.namePattern)
            .flatMap(each -> each.fill(tool, 1).text())
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
    if (tools.existsByCodeKey(key)) {
      throw Refusal.conflict("code %s is used; a code is never given twice".formatted(code));
    }
    Optional.ofNullable(held.why(List.of(key)).get(key))
        .ifPresent(why -> {
          throw Refusal.conflict(why);
        });
  }

  private ReservedCode next(Library library, Tool tool, @Nullable String name) {
    Optional<NamePattern> pattern = pattern("code", library.codePattern);
    if (pattern.isEmpty()) {
      throw Refusal.badRequest(
          "%s has no pattern for codes; set one, or type a code".formatted(library.name));
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
