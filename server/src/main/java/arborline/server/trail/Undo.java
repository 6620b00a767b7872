package arborline.server.trail;

import java.util.function.Consumer;

/**
 * Takes one kind of deed back. A bean of this type is found by its kind.
 *
 * @param <D> what was kept of the deed
 */
public interface Undo<D> {

  UndoKind<D> kind();

  /**
   * Takes a deed back, in the transaction that says so on the trail.
   *
   * @throws arborline.server.support.Refusal where later changes stand in the way
   */
  void takeBack(D deed);

  /** An undo that is one action. */
  static <D> Undo<D> of(UndoKind<D> kind, Consumer<D> action) {
    return new Undo<>() {
      @Override
      public UndoKind<D> kind() {
        return kind;
      }

      @Override
      public void takeBack(D deed) {
        action.accept(deed);
      }
    };
  }
}
