package arborline.server.exchange;

import arborline.core.stack.Component;
import arborline.core.stack.PlannedStack;
import java.util.Collection;
import java.util.List;
import java.util.Map;

/** The stacks of tools, for whoever writes a file. */
public interface StacksOfTools {

  /** By tool id; tools without any are left out. */
  Map<Long, List<PlannedStack>> of(Collection<Long> toolIds);

  /** A part with its row. */
  record KnownPart(long id, Component component) {}

  /** The parts of these stacks, each in its newest version, by code. */
  Map<String, KnownPart> parts(Collection<Long> toolIds);

  /** Parts that stacks keep in an older version, in words, by tool id. */
  Map<Long, List<String>> olderParts(Collection<Long> toolIds);
}
