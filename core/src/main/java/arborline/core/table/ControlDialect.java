package arborline.core.table;

import arborline.core.machine.Machine;
import java.io.IOException;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * How one kind of control is read and written: what its documents say. How they travel is not its
 * concern. Stateless and safe between threads.
 */
public interface ControlDialect {

  /** The name in machine definitions. */
  String id();

  /** What such a control reads and writes, in a few words for people who choose one. */
  String title();

  /** The fields that such a control keeps at a machine. */
  List<ControlField> fields(Machine machine);

  /** Names of the documents that make up a reading. */
  List<String> documents();

  /**
   * Reads a tool table, in the control's own terms.
   *
   * @param documents all that {@link #documents} names
   * @throws IOException where they are not in this control's form; the message says why
   */
  ControlTable read(Machine machine, Map<String, byte[]> documents) throws IOException;

  /**
   * What time the control says it is; empty where it does not say.
   *
   * @param documents as read
   */
  default Optional<Instant> clock(Map<String, byte[]> documents) {
    return Optional.empty();
  }

  /** A row of the plan with the offset number that this control uses for it. */
  TableEntry registered(TableEntry entry);

  /** Why the control cannot keep a tool as it is called and numbered; empty where it can. */
  Optional<String> refusal(Machine machine, TableEntry entry);

  /**
   * The files that carry these rows to the control, in the order in which they must be sent.
   *
   * @param now what the control holds, for controls that take their table as a whole
   */
  List<ControlFile> write(Machine machine, ControlTable now, List<RowWrite> rows);
}
