package arborline.server.stack;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;

/** Everything of a stack but its identity and its tool. */
record StackState(String name, String seat, BigDecimal projection, List<PartState> parts) {

  /** A part of a stack; without a version it follows the newest. */
  record PartState(long componentId, @Nullable Integer versionNo) {}

  static StackState of(StackRow row) {
    return new StackState(
        row.name,
        row.seat,
        row.projection.stripTrailingZeros(),
        row.parts.stream().map(part -> new PartState(part.componentId, part.versionNo)).toList());
  }

  void to(StackRow row) {
    row.name = name;
    row.seat = seat;
    row.projection = projection;
    row.parts = new ArrayList<>();
    parts.forEach(part -> row.parts.add(new StackPart(part.componentId(), part.versionNo())));
  }
}
