package arborline.server.table;

import arborline.core.table.ControlFile;
import java.io.IOException;
import java.net.URI;
import java.util.List;
import java.util.Map;

/**
 * How documents travel to a control and back, whatever they say. Each scheme of links has one. Safe
 * between threads; called outside transactions only.
 */
interface ControlChannel {

  /** Largest document that is read. */
  int LARGEST_DOCUMENT = 32 * 1024 * 1024;

  /** Begin of the links that it serves: {@code http}. */
  String scheme();

  /**
   * Documents as the control has them now.
   *
   * @throws IOException where it does not answer; the message says why, for people
   */
  Map<String, byte[]> read(URI link, List<String> documents) throws IOException;

  /**
   * Sends one file and waits until the control says that it took it.
   *
   * @throws RefusedByControlException where it refuses it
   * @throws IOException where it does not answer; whether it took the file is not known then
   */
  void send(URI link, ControlFile file) throws IOException;
}
