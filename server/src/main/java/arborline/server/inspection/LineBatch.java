package arborline.server.inspection;

import arborline.core.finding.Finding;
import arborline.server.delivery.DeliveryLine;
import java.util.List;
import java.util.Map;

/**
 * Inspected lines of one file that are ready to be stored.
 *
 * @param findings by line id; lines without any are left out
 * @param bytes of the file that were read for them
 */
record LineBatch(List<DeliveryLine> rows, Map<Long, List<Finding>> findings, long bytes) {

  boolean empty() {
    return rows.isEmpty();
  }
}
