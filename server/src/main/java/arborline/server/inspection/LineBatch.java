package arborline.server.inspection;

import arborline.core.finding.Finding;
import arborline.server.delivery.DeliveryLine;
import java.util.List;
import java.util.Map;

/**
 * Inspected lines of one file that are ready to be stored.
 *
 * @param findings by line id; lines without any are left out
 */
record LineBatch(List<DeliveryLine> rows, Map<Long, List<Finding>> findings) {

  boolean empty() {
    return rows.isEmpty();
  }
}
