package arborline.core.table;

import arborline.core.machine.Machine;
import java.util.Optional;

/** Whether a control can keep the number of a tool. */
final class KeptNumbers {

  private KeptNumbers() {}

  /** Why the control cannot keep a tool under its number; empty where it is 1 to the highest. */
  static Optional<String> refusal(Machine machine, TableEntry entry, int highest) {
    String number = entry.get(TableField.NUMBER);
    boolean kept =
        number != null
            && number.matches("\\d{1,9}")
            && Integer.parseInt(number) >= 1
            && Integer.parseInt(number) <= highest;
    return kept
        ? Optional.empty()
        : Optional.of(
            "%s keeps numbers 1 to %d; %s has %s"
                .formatted(
                    machine.name(),
                    highest,
                    entry.get(TableField.TOOL),
                    number == null ? "no number" : number));
  }
}
