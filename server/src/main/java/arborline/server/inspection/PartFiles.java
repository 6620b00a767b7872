package arborline.server.inspection;

import arborline.core.inspect.Inspected;
import java.util.List;

/** Files that come with the parts of stacks and are kept by another module. */
public interface PartFiles {

  /** What its rows are called among those that came with a taking, as those of tools. */
  String KIND = "attachment";

  /** How many of the files that come with a part the shop does not have for it. */
  int unknownOfPart(long componentId, long deliveryId, Inspected arriving);

  /**
   * Keeps those that the shop does not have yet; returns the rows that were made. They are taken
   * back as the attachments of tools are.
   */
  List<Long> takeForPart(long componentId, long deliveryId, Inspected arriving);
}
