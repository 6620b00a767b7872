package arborline.server.exchange;

import java.util.Collection;
import java.util.Map;

/** Something that other modules keep for tools and that files of tools do not carry. */
public interface Attachment {

  /** What it is, for whoever writes a file. */
  String title();

  /** How many of them tools have, by tool id; tools without any are left out. */
  Map<Long, Long> counts(Collection<Long> toolIds);
}
