package arborline.server.trail;

import arborline.server.account.Permission;

/** Takes one kind of deed back. A bean of this type is found by its kind. */
public interface Undo {

  String kind();

  /** What somebody needs to take it back: the same as to do it. */
  Permission needs();

  /**
   * Takes it back.
   *
   * @param data what was kept, as JSON
   * @throws arborline.server.support.Refusal where later changes stand in the way
   */
  void undo(String data);
}
