package arborline.server.table;

import java.io.IOException;

/** The control answered, but not as a control does; the message says how. */
final class OddAnswerException extends IOException {
  private static final long serialVersionUID = 1L;

  OddAnswerException(String how) {
    super(how);
  }
}
