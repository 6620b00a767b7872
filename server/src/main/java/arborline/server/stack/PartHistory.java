package arborline.server.stack;

import arborline.core.exchange.Cell;
import arborline.core.exchange.PartReading;
import arborline.core.stack.Component;
import arborline.core.stack.Frustum;
import arborline.server.support.Json;
import arborline.server.support.Refusal;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.SortedMap;
import java.util.TreeMap;
import java.util.stream.Collectors;
import org.springframework.data.domain.Limit;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What holders, other parts and stacks were, and lets a version of them stand again. */
@Service
class PartHistory {

  private static final Limit SHOWN = Limit.of(100);

  private final Components components;
  private final ComponentRepository parts;
  private final ComponentVersionRepository partVersions;
  private final Stacks stacks;
  private final StackVersionRepository stackVersions;
  private final Json json;

  PartHistory(
      Components components,
      ComponentRepository parts,
      ComponentVersionRepository partVersions,
      Stacks stacks,
      StackVersionRepository stackVersions,
      Json json) {
    this.components = components;
    this.parts = parts;
    this.partVersions = partVersions;
    this.stacks = stacks;
    this.stackVersions = stackVersions;
    this.json = json;
  }

  /**
   * What something was.
   *
   * @param by who saved it
   * @param fields what it said, by name, with units
   * @param bodies cylinders and cones from the gauge line, mm; empty for a stack
   */
  record FormerPart(
      int version, Instant at, String by, SortedMap<String, String> fields, List<Frustum> bodies) {}

  /** The versions of a holder or another part, the newest first; the last hundred. */
  @Transactional(readOnly = true)
  List<FormerPart> ofPart(long id) {
    components.get(id);
    return partVersions.findByComponentIdOrderByVersionNoDesc(id, SHOWN).stream()
        .map(version -> {
          Component part = json.read(version.definition, Component.class);
          return new FormerPart(
              version.versionNo, version.savedAt, version.savedBy, fields(part), part.bodies());
        })
        .toList();
  }

  private static SortedMap<String, String> fields(Component part) {
    SortedMap<String, String> fields = new TreeMap<>();
    fields.put("KIND", part.kind().name().toLowerCase(Locale.ROOT));
    PartReading.of(part).cells().forEach((symbol, cell) -> fields.put(symbol, shown(cell)));
    return fields;
  }

  private static String shown(Cell cell) {
    return cell.unit().map(unit -> cell.text() + " " + unit.code()).orElse(cell.text());
  }

  /** The versions of a stack, the newest first; the last hundred. */
  @Transactional(readOnly = true)
  List<FormerPart> ofStack(long id) {
    stacks.get(id);
    List<StackVersion> versions = stackVersions.findByStackIdOrderByVersionNoDesc(id, SHOWN);
    List<StackState> states =
        versions.stream().map(version -> json.read(version.state, StackState.class)).toList();
    Map<Long, String> codes = codes(states);
    List<FormerPart> former = new ArrayList<>();
    for (int i = 0; i < versions.size(); i++) {
      StackVersion version = versions.get(i);
      former.add(
          new FormerPart(
              version.versionNo,
              version.savedAt,
              version.savedBy,
              fields(states.get(i), codes),
              List.of()));
    }
    return former;
  }

  private Map<Long, String> codes(List<StackState> states) {
    Set<Long> ids =
        states.stream()
            .flatMap(state -> state.parts().stream())
            .map(StackState.PartState::componentId)
            .collect(Collectors.toSet());
    Map<Long, String> codes = new HashMap<>();
    parts.findByIdIn(List.copyOf(ids)).forEach(row -> codes.put(row.id, row.code));
    return codes;
  }

  private static SortedMap<String, String> fields(StackState state, Map<Long, String> codes) {
    SortedMap<String, String> fields = new TreeMap<>();
    fields.put("NAME", state.name());
    fields.put("OVERHANG", state.overhang().stripTrailingZeros().toPlainString() + " mm");
    fields.put("SEAT", state.seat());
    fields.put(
        "PARTS",
        state.parts().stream()
            .map(part ->
                codes.getOrDefault(part.componentId(), "a part that is gone")
                    + (part.versionNo() == null ? "" : " version " + part.versionNo()))
            .collect(Collectors.joining(" + ")));
    return fields;
  }

  /**
   * Lets a version of a holder or another part stand again; stacks follow.
   *
   * @param base version that somebody looked at as the newest
   */
  @Transactional
  Components.KnownComponent partBack(long id, int base, int version) {
    components.lock(id);
    refuseUnlessEarlier(components.get(id).version(), base, version);
    Component wanted =
        partVersions
            .findByComponentIdAndVersionNo(id, version)
            .map(known -> json.read(known.definition, Component.class))
            .orElseThrow(() -> Refusal.notFound("it has no version " + version));
    return components.change(id, base, wanted, Set.of());
  }

  /** The same of a stack. */
  @Transactional
  Stacks.KeptStack stackBack(long id, int base, int version) {
    stacks.lock(id);
    refuseUnlessEarlier(stacks.get(id).version(), base, version);
    StackState wanted =
        stackVersions
            .findByStackIdAndVersionNo(id, version)
            .map(known -> json.read(known.state, StackState.class))
            .orElseThrow(() -> Refusal.notFound("the stack has no version " + version));
    return stacks.change(id, base, wanted.draft());
  }

  private static void refuseUnlessEarlier(int now, int base, int version) {
    if (now != base) {
      throw Refusal.conflict(
          "somebody else changed it meanwhile: version %d stands now; look at it again"
              .formatted(now));
    }
    if (version == now) {
      throw Refusal.conflict("version %d stands already".formatted(now));
    }
  }
}
