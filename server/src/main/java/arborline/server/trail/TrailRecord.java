package arborline.server.trail;

import org.jspecify.annotations.Nullable;

/**
 * Something done, for the trail.
 *
 * @param subjectKind {@code tool}, {@code library}, {@code delivery} or {@code machine}
 * @param text a sentence without its subject: "changed DC of EM-10"
 * @param deed what can be taken back; null where nothing can
 */
public record TrailRecord(
    String subjectKind, String subjectId, String text, @Nullable KeptDeed<?> deed) {

  /** What is kept of a deed, with the kind that takes it back. */
  public record KeptDeed<D>(UndoKind<D> kind, D data) {}

  public static TrailRecord of(String subjectKind, Object subjectId, String text) {
    return new TrailRecord(subjectKind, subjectId.toString(), text, null);
  }

  public <D> TrailRecord undoneBy(UndoKind<D> kind, D data) {
    return new TrailRecord(subjectKind, subjectId, text, new KeptDeed<>(kind, data));
  }

  /** A number of things: {@code 1 line}, {@code 2 lines}. */
  public static String count(long number, String one) {
    return number == 1 ? "1 " + one : number + " " + one + "s";
  }
}
