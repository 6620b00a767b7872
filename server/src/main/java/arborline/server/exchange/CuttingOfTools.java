package arborline.server.exchange;

import arborline.core.cutting.CuttingEntry;
import java.util.Collection;
import java.util.List;
import java.util.Map;

/** The cutting data of tools, for whoever writes a file. */
public interface CuttingOfTools {

  /** By tool id; tools without any are left out. */
  Map<Long, List<CuttingEntry>> of(Collection<Long> toolIds);
}
