package arborline.server.derived;

import arborline.core.edition.BaseUpdate;
import arborline.core.edition.FrozenEntry;
import arborline.core.edition.FrozenTool;
import arborline.core.exchange.Cell;
import arborline.core.exchange.RawBundle;
import arborline.core.exchange.RawItem;
import arborline.core.finding.Severity;
import arborline.core.inspect.ContentHash;
import arborline.core.inspect.Inspected;
import arborline.core.inspect.Inspector;
import arborline.core.library.Codes;
import arborline.core.library.Numbering;
import arborline.core.tool.Tool;
import arborline.server.exchange.AttachmentsOfTools;
import arborline.server.library.AcceptedTools;
import arborline.server.library.LibraryPlaces;
import arborline.server.support.Refusal;
import arborline.server.tool.CurrentTool;
import arborline.server.tool.OwnedByTool;
import arborline.server.tool.ToolStore;
import arborline.server.tool.Tools;
import jakarta.persistence.EntityManager;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.OptionalInt;
import java.util.OptionalLong;
import java.util.Set;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** Has tools be what frozen ones say; always inside a caller's transaction. */
@Component
@Transactional(propagation = Propagation.MANDATORY)
class DerivedTools {

  private static final int CHUNK = 500;
  private static final int LONGEST_CODE = 60;

  private final DerivedStore store;
  private final AcceptedTools intake;
  private final ToolStore versions;
  private final Tools tools;
  private final List<OwnedByTool> owned;
  private final AttachmentsOfTools attachments;
  private final LibraryPlaces places;
  private final EntityManager entities;

  DerivedTools(
      DerivedStore store,
      AcceptedTools intake,
      ToolStore versions,
      Tools tools,
      List<OwnedByTool> owned,
      AttachmentsOfTools attachments,
      LibraryPlaces places,
      EntityManager entities) {
    this.store = store;
    this.intake = intake;
    this.versions = versions;
    this.tools = tools;
    this.owned = owned;
    this.attachments = attachments;
    this.places = places;
    this.entities = entities;
  }

  /**
   * A tool that is to come into a library.
   *
   * @param base the tool that it comes from
   */
  record Coming(long base, FrozenEntry entry) {}

  static Inspected inspected(FrozenEntry entry) {
    return Inspector.inspect(entry.bundle());
  }

  /**
   * Why a tool cannot become what the merge makes of it; empty where it can. What stands against it
   * in the base or here already is no fault of the merge.
   */
  static List<String> obstacles(BaseUpdate.Step step) {
    if (step.after().isEmpty()) {
      return List.of();
    }
    Set<String> known = new HashSet<>();
    step.before().ifPresent(entry -> known.addAll(holds(entry)));
    step.theirs().ifPresent(entry -> known.addAll(holds(entry)));
    return holds(step.after().get()).stream().filter(hold -> !known.contains(hold)).toList();
  }

  private static List<String> holds(FrozenEntry entry) {
    return inspected(entry).findings().stream()
        .filter(finding -> finding.severity() == Severity.HOLD)
        .map(finding -> finding.message())
        .distinct()
        .toList();
  }

  /**
   * Adds tools to a library; where one of the same code came from the same tool before and stands
   * in no library any more, that one is taken.
   *
   * @param origin for the history of the tools
   * @return the new tools, by the one that each came from
   */
  Map<Long, Long> add(long library, List<Coming> coming, String origin) {
    List<String> codes = coming.stream().map(one -> one.entry().tool().code()).toList();
    Map<String, DerivedStore.LeftTool> left = known(coming);
    refuseTaken(codes, left);
    AcceptedTools.Session session = intake.into(library, "", origin, Numbering.KEEP);
    Map<Long, Long> added = new LinkedHashMap<>();
    for (int from = 0; from < coming.size(); from += CHUNK) {
      add(session, coming.subList(from, Math.min(coming.size(), from + CHUNK)), left, added);
    }
    Map<Long, Long> bases = new HashMap<>();
    added.forEach((base, tool) -> bases.put(tool, base));
    store.came(library, bases);
    attachments.copyAll(added);
    Map<Long, FrozenEntry> again = new LinkedHashMap<>();
    for (Coming one : coming) {
      if (left.containsKey(Codes.key(one.entry().tool().code()))) {
        again.put(added.get(one.base()), one.entry());
      }
    }
    change(again, origin);
    return added;
  }

  private void add(
      AcceptedTools.Session session,
      List<Coming> some,
      Map<String, DerivedStore.LeftTool> left,
      Map<Long, Long> added) {
    List<Inspected> inspected = some.stream().map(one -> inspected(one.entry())).toList();
    List<AcceptedTools.Arriving> arriving = new ArrayList<>();
    for (int i = 0; i < some.size(); i++) {
      FrozenEntry entry = some.get(i).entry();
      DerivedStore.LeftTool known = left.get(Codes.key(entry.tool().code()));
      arriving.add(
          new AcceptedTools.Arriving(
              inspected.get(i).tool(),
              OptionalInt.of(entry.number()),
              added.size() + i + 1,
              known == null ? OptionalLong.empty() : OptionalLong.of(known.toolId()),
              entry.section()));
    }
    List<Long> ids = session.take(arriving);
    entities.flush();
    Map<Long, Inspected> wanted = new LinkedHashMap<>();
    for (int i = 0; i < some.size(); i++) {
      added.put(some.get(i).base(), ids.get(i));
      if (arriving.get(i).existingToolId().isEmpty()) {
        wanted.put(ids.get(i), inspected.get(i));
      }
    }
    owned.forEach(one -> one.become(wanted));
    entities.flush();
    entities.clear();
  }

  private Map<String, DerivedStore.LeftTool> known(List<Coming> coming) {
    Map<String, DerivedStore.LeftTool> left =
        store.left(coming.stream().map(one -> one.entry().tool().code()).toList());
    for (Coming one : coming) {
      String key = Codes.key(one.entry().tool().code());
      left.computeIfPresent(key, (code, known) -> known.baseToolId() == one.base() ? known : null);
    }
    return left;
  }

  private void refuseTaken(List<String> codes, Map<String, DerivedStore.LeftTool> left) {
    Set<String> taken = store.taken(codes);
    taken.removeAll(left.keySet());
    List<String> clashing =
        codes.stream().filter(code -> taken.contains(Codes.key(code))).sorted().toList();
    if (!clashing.isEmpty()) {
      throw Refusal.conflict(
          "code %s is taken%s; choose another ending, or rename what has it"
              .formatted(
                  clashing.getFirst(),
                  clashing.size() == 1 ? "" : " and " + (clashing.size() - 1) + " others"));
    }
    codes.stream()
        .filter(code -> code.length() > LONGEST_CODE)
        .findFirst()
        .ifPresent(code -> {
          throw Refusal.conflict(
              "code %s would be longer than %d characters; choose a shorter ending"
                  .formatted(code, LONGEST_CODE));
        });
  }

  /** Has tools of a library become what is said, each in its place. */
  Map<Long, Integer> become(long library, Map<Long, FrozenEntry> wanted, String origin) {
    change(wanted, origin);
    return places.move(
        library,
        wanted.entrySet().stream()
            .map(one ->
                new LibraryPlaces.Place(
                    one.getKey(), one.getValue().number(), one.getValue().section()))
            .toList());
  }

  private void change(Map<Long, FrozenEntry> wanted, String origin) {
    Map<Long, CurrentTool> current = tools.current(wanted.keySet());
    List<Map.Entry<Long, FrozenEntry>> all = List.copyOf(wanted.entrySet());
    for (int from = 0; from < all.size(); from += CHUNK) {
      Map<Long, Inspected> some = new LinkedHashMap<>();
      List<ToolStore.Step> steps = new ArrayList<>();
      for (Map.Entry<Long, FrozenEntry> one :
          all.subList(from, Math.min(all.size(), from + CHUNK))) {
        CurrentTool now = Objects.requireNonNull(current.get(one.getKey()));
        Inspected inspected = inspected(one.getValue());
        some.put(one.getKey(), inspected);
        Tool after = inspected.tool();
        if (!after.code().equals(now.code())) {
          now = versions.rename(now, after.code(), now.tool().name(), origin);
        }
        if (!ContentHash.of(after).equals(ContentHash.of(now.tool()))) {
          steps.add(new ToolStore.Step(now, after));
        }
      }
      entities.flush();
      if (!steps.isEmpty()) {
        versions.changeAll(steps, origin);
      }
      owned.forEach(one -> one.become(some));
      entities.flush();
      entities.clear();
    }
  }

  /** A frozen tool under another code. */
  static FrozenEntry coded(FrozenEntry entry, String code) {
    RawBundle bundle = entry.bundle();
    return new FrozenEntry(
        new FrozenTool(
            bundle.item().with(Map.of(RawItem.CODE, Cell.of(code))),
            bundle.cutting().stream().map(item -> item.belongingTo(code)).toList(),
            bundle.stacks().stream().map(item -> item.belongingTo(code)).toList()),
        entry.number(),
        entry.section());
  }
}
