package arborline.core.table;

import arborline.core.machine.Machine;
import java.util.Optional;
import java.util.regex.Pattern;

/** Codes of tools as controls keep them: plain signs, and no more of them than fit. */
final class KeptCodes {

  /** Stands for no tool. */
  static final String NONE = "-";

  private static final int LONGEST = 32;
  private static final Pattern PRINTABLE = Pattern.compile("[\\x21-\\x7e]+");

  private KeptCodes() {}

  /** Why a control cannot keep a code; empty where it can. */
  static Optional<String> refusal(Machine machine, String tool) {
    if (tool == null || !PRINTABLE.matcher(tool).matches() || tool.equals(NONE)) {
      return Optional.of(
          "%s keeps tools by plain letters, digits and signs; '%s' has others: give it another code"
              .formatted(machine.name(), tool));
    }
    return tool.length() > LONGEST
        ? Optional.of(
            "%s keeps codes of %d characters; %s has %d"
                .formatted(machine.name(), LONGEST, tool, tool.length()))
        : Optional.empty();
  }
}
