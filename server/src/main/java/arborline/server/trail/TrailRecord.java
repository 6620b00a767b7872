package arborline.server.trail;

import java.util.Collection;
import java.util.HashSet;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * Something done, for the trail.
 *
 * @param subjectKind {@code tool}, {@code library}, {@code delivery} or {@code machine}
 * @param text a sentence without its subject: "changed DC of EM-10"
 * @param deed what can be taken back; null where nothing can
 * @param libraries in which it changed what stands there, or what they are for
 */
public record TrailRecord(
    String subjectKind,
    String subjectId,
    String text,
    @Nullable KeptDeed<?> deed,
    Set<Long> libraries) {

  public TrailRecord {
    libraries = Set.copyOf(libraries);
  }

  /** What is kept of a deed, with the kind that takes it back. */
  public record KeptDeed<D>(UndoKind<D> kind, D data) {}

  public static TrailRecord of(String subjectKind, Object subjectId, String text) {
    Set<Long> libraries =
        subjectKind.equals("library") && subjectId instanceof Long id ? Set.of(id) : Set.of();
    return new TrailRecord(subjectKind, subjectId.toString(), text, null, libraries);
  }

  public <D> TrailRecord undoneBy(UndoKind<D> kind, D data) {
    return new TrailRecord(subjectKind, subjectId, text, new KeptDeed<>(kind, data), libraries);
  }

  /** The same, which changed these libraries as well. */
  public TrailRecord in(Collection<Long> others) {
    Set<Long> all = new HashSet<>(libraries);
    all.addAll(others);
    return new TrailRecord(subjectKind, subjectId, text, deed, all);
  }

  /** A number of things: {@code 1 line}, {@code 2 lines}. */
  public static String count(long number, String one) {
    return number == 1 ? "1 " + one : number + " " + one + "s";
  }
}
