package arborline.server.trail;

import org.jspecify.annotations.Nullable;

/**
 * Something done, for the trail.
 *
 * @param subjectKind {@code tool}, {@code library}, {@code delivery} or {@code machine}
 * @param text a sentence without its subject: "changed DC of EM-10"
 * @param undoKind the {@link Undo} that takes it back; null where nothing can
 * @param undoData what that needs to know, kept as JSON
 */
public record TrailRecord(
    String subjectKind,
    String subjectId,
    String text,
    @Nullable String undoKind,
    @Nullable Object undoData) {

  public static TrailRecord of(String subjectKind, Object subjectId, String text) {
    return new TrailRecord(subjectKind, subjectId.toString(), text, null, null);
  }

  public TrailRecord undoneBy(String kind, Object data) {
    return new TrailRecord(subjectKind, subjectId, text, kind, data);
  }

  /** A number of things: {@code 1 line}, {@code 2 lines}. */
  public static String count(long number, String one) {
    return number == 1 ? "1 " + one : number + " " + one + "s";
  }
}
