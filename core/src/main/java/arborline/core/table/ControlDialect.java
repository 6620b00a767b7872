package arborline.core.table;

import arborline.core.machine.Machine;
import java.io.IOException;
import java.io.InputStream;
import java.util.List;

/** How one kind of control is read and written. Stateless and safe between threads. */
public interface ControlDialect {

  /** The name in machine definitions. */
  String id();

  /**
   * Reads a tool table.
   *
   * @throws IOException where it is not in this control's form; the message says why
   */
  ControlTable read(InputStream answer) throws IOException;

  /** The files that carry these rows to the control, in the order in which they must be sent. */
  List<ControlFile> write(Machine machine, List<RowWrite> rows);
}
