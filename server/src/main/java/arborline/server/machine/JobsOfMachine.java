package arborline.server.machine;

import arborline.core.job.OpenJob;
import java.util.List;

/** The jobs that run on a machine. */
public interface JobsOfMachine {

  /** Those that are not finished. */
  List<OpenJob> open(String machineId);
}
