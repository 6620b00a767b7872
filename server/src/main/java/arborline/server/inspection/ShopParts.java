package arborline.server.inspection;

import arborline.core.stack.Component;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** The parts of stacks that the shop has. */
public interface ShopParts {

  /** A part with its row. */
  record KnownPart(long id, Component component) {}

  /** Parts by code key; unknown ones are left out. */
  Map<String, KnownPart> byKeys(Collection<String> codeKeys);

  /** A part after taking it: its row, and whether it was made now. */
  record TakenPart(long id, boolean added) {}

  /** Takes a part, or finds the same one; nothing where another stands under its code. */
  Optional<TakenPart> take(Component part);

  /** A part as it stands; nobody else changes it before the transaction ends. */
  Component locked(long id);

  /**
   * Changes a part; stacks that follow it follow.
   *
   * @return the version that it had before
   */
  int change(long id, Component after);

  /** Makes the version stand again that a part had before it was changed. */
  void bringBack(long id, int version);

  /** Takes parts back out that no stack needs. */
  void takeBack(List<Long> rows);
}
