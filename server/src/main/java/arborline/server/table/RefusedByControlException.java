package arborline.server.table;

import java.io.IOException;

/** The control answered, and refused; the message is what it said. */
final class RefusedByControlException extends IOException {
  private static final long serialVersionUID = 1L;
  private static final int LONGEST = 500;

  RefusedByControlException(String said) {
    super(said.length() > LONGEST ? said.substring(0, LONGEST) : said);
  }
}
