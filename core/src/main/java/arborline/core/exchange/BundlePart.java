package arborline.core.exchange;

import arborline.core.stack.Component;
import java.util.List;
import java.util.Map;

/**
 * A part of stacks as files carry it.
 *
 * @param attachments paths of files that stand beside the one that is written
 */
public record BundlePart(Component component, List<String> attachments) {

  public BundlePart {
    attachments = List.copyOf(attachments);
  }

  public String code() {
    return component.code();
  }

  /** The cells that bring it back. */
  public RawItem item() {
    RawItem item = PartReading.of(component);
    return attachments.isEmpty()
        ? item
        : item.with(Map.of(RawItem.ATTACHMENT, Cell.of(PathList.text(attachments))));
  }
}
