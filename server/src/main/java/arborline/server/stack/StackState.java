package arborline.server.stack;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/** Everything of a stack but its identity and its tool. */
record StackState(String name, String seat, BigDecimal overhang, List<PartState> parts) {

  /** A part of a stack; without a version it follows the newest. */
  record PartState(long componentId, @Nullable Integer versionNo) {}

  static StackState of(StackRow row) {
    return new StackState(
        row.name,
        row.seat,
        row.overhang.stripTrailingZeros(),
        row.parts.stream().map(part -> new PartState(part.componentId, part.versionNo)).toList());
  }

  /** The same as somebody would build it. */
  Stacks.StackDraft draft() {
    Map<Long, Integer> stays = new HashMap<>();
    parts.stream()
        .filter(part -> part.versionNo() != null)
        .forEach(part -> stays.put(part.componentId(), part.versionNo()));
    return new Stacks.StackDraft(
        name,
        seat,
        parts.stream().map(PartState::componentId).toList(),
        overhang,
        null,
        null,
        stays);
  }

  void to(StackRow row) {
    row.name = name;
    row.seat = seat;
    row.overhang = overhang;
    row.parts = new ArrayList<>();
    parts.forEach(part -> row.add(new StackPart(part.componentId(), part.versionNo())));
  }
}
