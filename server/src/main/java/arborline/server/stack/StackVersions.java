package arborline.server.stack;

import arborline.core.merge.FieldMerge;
import arborline.server.account.Actor;
import arborline.server.support.Json;
import arborline.server.support.Refusal;
import java.math.BigDecimal;
import java.time.Clock;
import java.time.Instant;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Component;

/** Keeps what stacks were, and joins changes that started from different versions. */
@Component
class StackVersions {

  private final StackVersionRepository versions;
  private final Json json;
  private final Clock clock;

  StackVersions(StackVersionRepository versions, Json json, Clock clock) {
    this.versions = versions;
    this.json = json;
    this.clock = clock;
  }

  /** Keeps what a stack is now. */
  void keep(StackRow row) {
    versions.save(
        new StackVersion(row, json.text(StackState.of(row)), Actor.name(), Instant.now(clock)));
  }

  /**
   * What a change makes of a stack that others may have changed since somebody opened it.
   *
   * @param base version that somebody started from
   */
  StackState joined(StackRow row, int base, StackState mine) {
    if (base == row.versionNo) {
      return mine;
    }
    StackState from =
        versions
            .findByStackIdAndVersionNo(row.id, base)
            .map(version -> json.read(version.state, StackState.class))
            .orElseThrow(() -> Refusal.badRequest("the stack has no version " + base));
    FieldMerge.Merged<Object> merged =
        FieldMerge.merge(fields(from), fields(StackState.of(row)), fields(mine));
    if (!merged.conflicts().isEmpty()) {
      throw Refusal.conflict(
          "somebody else changed the same of this stack meanwhile; look at it again",
          merged.conflicts());
    }
    return state(merged.values());
  }

  private static Map<String, Object> fields(StackState state) {
    Map<String, Object> fields = new HashMap<>();
    fields.put("name", state.name());
    fields.put("seat", state.seat());
    fields.put("overhang", state.overhang().stripTrailingZeros());
    fields.put("parts", state.parts());
    return fields;
  }

  @SuppressWarnings("unchecked")
  private static StackState state(Map<String, Object> fields) {
    return new StackState(
        (String) fields.get("name"),
        (String) fields.get("seat"),
        (BigDecimal) fields.get("overhang"),
        (List<StackState.PartState>) fields.get("parts"));
  }
}
