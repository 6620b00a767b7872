package arborline.core.exchange;

import java.util.List;

/**
 * An item that stands alone, with what the file says belongs to it.
 *
 * @param item a cutter, an insert or a part; also a stack or a line of cutting data whose tool does
 *     not stand beside it
 * @param cutting its lines of cutting data
 * @param stacks that hold it
 */
public record RawBundle(RawItem item, List<RawItem> cutting, List<RawItem> stacks) {

  public RawBundle {
    cutting = List.copyOf(cutting);
    stacks = List.copyOf(stacks);
  }

  public static RawBundle of(RawItem item) {
    return new RawBundle(item, List.of(), List.of());
  }

  /** The same with another item. */
  public RawBundle with(RawItem other) {
    return new RawBundle(other, cutting, stacks);
  }
}
