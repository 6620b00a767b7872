package arborline.core.table;

import arborline.core.machine.Machine;
import java.io.IOException;
import java.io.InputStream;
import java.util.List;
import java.util.Optional;

/** How one kind of control is read and written. Stateless and safe between threads. */
public interface ControlDialect {

  /** The name in machine definitions. */
  String id();

  /** The fields that such a control keeps at a machine. */
  List<ControlField> fields(Machine machine);

  /**
   * Reads a tool table, in the control's own terms.
   *
   * @throws IOException where it is not in this control's form; the message says why
   */
  ControlTable read(Machine machine, InputStream answer) throws IOException;

  /** A row of the plan with the offset number that this control uses for it. */
  TableEntry registered(TableEntry entry);

  /** Why the control cannot keep a tool as it is called and numbered; empty where it can. */
  Optional<String> refusal(Machine machine, TableEntry entry);

  /** The files that carry these rows to the control, in the order in which they must be sent. */
  List<ControlFile> write(Machine machine, List<RowWrite> rows);
}
