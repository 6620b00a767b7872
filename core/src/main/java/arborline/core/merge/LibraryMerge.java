package arborline.core.merge;

import java.util.List;
import java.util.Map;
import java.util.SortedMap;

/**
 * Joins two libraries that started from the same base, tool by tool and field by field. What only
 * one side changed is followed; what both changed differently is asked, and ours stands until it is
 * answered. Nothing that one side changed vanishes, and no assembly loses a part.
 */
public final class LibraryMerge {

  private LibraryMerge() {}

  /**
   * The joined library.
   *
   * @param tools by code
   * @param identities by code: the key of the code that the tool has in the base; of an added one
   *     that of its own
   * @param conflicts what has to be answered, by code and field
   */
  public record Merged(
      SortedMap<String, MergeTool> tools,
      Map<String, String> identities,
      List<MergeConflict> conflicts) {}

  /** Joins two sides before anything was answered. */
  public static Merged merge(
      Map<String, MergeTool> base, Map<String, MergeTool> theirs, Map<String, MergeTool> ours) {
    return merge(base, theirs, ours, MergeAnswers.NONE);
  }

  /**
   * Joins two sides; conflicts that are answered are none any more. A tool that assemblies of the
   * joined library are made of stays although its removal was answered for, and stays a conflict.
   *
   * @param base what both started from, by code; in each library no two codes are the same but for
   *     letter case
   */
  public static Merged merge(
      Map<String, MergeTool> base,
      Map<String, MergeTool> theirs,
      Map<String, MergeTool> ours,
      MergeAnswers answers) {
    return new MergeRun(base, theirs, ours, answers).merged();
  }
}
