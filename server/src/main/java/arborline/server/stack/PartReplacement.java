package arborline.server.stack;

import arborline.server.stack.Stacks.StackDraft;
import arborline.server.support.Refusal;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Builds stacks of another part. */
@Service
public class PartReplacement {

  private final Stacks stacks;
  private final StackRepository rows;

  PartReplacement(Stacks stacks, StackRepository rows) {
    this.stacks = stacks;
    this.rows = rows;
  }

  /**
   * Builds a stack of another part in the place of one; its overhang stays.
   *
   * @param old id of the component that it has
   * @param now id of the component that it is to have
   */
  @Transactional
  public void replace(long stackId, long old, long now) {
    stacks.lock(stackId);
    StackRow row =
        rows.findById(stackId).orElseThrow(() -> Refusal.notFound("there is no stack " + stackId));
    if (row.parts.stream().noneMatch(part -> part.componentId == old)) {
      throw Refusal.conflict("the stack is built otherwise now; look at it again");
    }
    List<Long> parts =
        row.parts.stream().map(part -> part.componentId == old ? now : part.componentId).toList();
    Map<Long, Integer> stays = new HashMap<>();
    row.parts.stream()
        .filter(part -> part.componentId != old && part.versionNo != null)
        .forEach(part -> stays.put(part.componentId, part.versionNo));
    stacks.change(
        stackId,
        row.versionNo,
        new StackDraft(row.name, row.seat, parts, row.overhang, null, null, stays));
  }
}
