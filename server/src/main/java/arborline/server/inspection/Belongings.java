package arborline.server.inspection;

import arborline.core.inspect.Inspected;
import java.util.List;

/**
 * What comes with tools and is kept by other modules: their cutting data, their stacks, their
 * attachments.
 */
public interface Belongings {

  /** What its rows are called among those that came with a taking. */
  String kind();

  /** How many of what comes with a tool the shop does not have for it. */
  int unknown(long toolId, long deliveryId, Inspected arriving);

  /** Keeps what the shop does not have yet; returns the rows that were made. */
  List<Long> take(long toolId, long deliveryId, Inspected arriving);

  /** Takes rows back out, unless they were changed since. */
  void takeBack(List<Long> rows);
}
