package arborline.core.merge;

import java.util.Optional;

/**
 * What becomes of one field that two sides hold.
 *
 * <p>A change of size is followed; one of writing alone is taken where nobody changed the size, and
 * ours where both rewrote it. Where both sides changed the size differently, or one changed and the
 * other removed it, somebody has to be asked.
 *
 * @param value what stands; in an open question ours, or the side that still has it
 */
record FieldPick<F extends MergeField>(Optional<F> value, boolean open) {

  static <F extends MergeField> FieldPick<F> of(
      Optional<F> base, Optional<F> theirs, Optional<F> ours) {
    if (same(theirs, ours)) {
      boolean onlyTheirsRewrote = same(base, ours) && ours.equals(base);
      return settled(onlyTheirsRewrote ? theirs : ours);
    }
    if (same(base, theirs)) {
      return settled(ours);
    }
    if (same(base, ours)) {
      return settled(theirs);
    }
    if (theirs.isEmpty() || ours.isEmpty()) {
      return new FieldPick<>(ours.or(() -> theirs), true);
    }
    if (ours.get().outweighs(theirs.get())) {
      return settled(ours);
    }
    return theirs.get().outweighs(ours.get()) ? settled(theirs) : new FieldPick<>(ours, true);
  }

  private static <F extends MergeField> FieldPick<F> settled(Optional<F> value) {
    return new FieldPick<>(value, false);
  }

  private static <F extends MergeField> boolean same(Optional<F> one, Optional<F> other) {
    return one.isPresent() && other.isPresent()
        ? one.get().sameSize(other.get())
        : one.isEmpty() && other.isEmpty();
  }
}
