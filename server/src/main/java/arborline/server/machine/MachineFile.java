package arborline.server.machine;

import arborline.core.machine.Machine;
import arborline.server.support.Refusal;
import org.jspecify.annotations.Nullable;

/**
 * A machine definition as a file.
 *
 * @param format always {@value #FORMAT}
 * @param version of the form of the definition
 */
record MachineFile(@Nullable String format, @Nullable Integer version, @Nullable Machine machine) {

  static final String FORMAT = "arbor-line-machine";
  private static final int VERSION = 1;

  static MachineFile of(Machine machine) {
    return new MachineFile(FORMAT, VERSION, machine);
  }

  /** The definition in it, or why it cannot be read. */
  Machine read() {
    if (!FORMAT.equals(format)) {
      throw Refusal.badRequest(
          "format: this is no machine definition; its format is '%s'".formatted(FORMAT));
    }
    if (version == null || version != VERSION) {
      throw Refusal.badRequest("version: this program reads version %d".formatted(VERSION));
    }
    if (machine == null) {
      throw Refusal.badRequest("machine: the definition is missing");
    }
    return machine;
  }
}
