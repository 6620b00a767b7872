package arborline.core.merge;

import java.util.Optional;

/**
 * A question that two sides leave open.
 *
 * @param code of the tool in the base, or of an added tool as ours writes it
 * @param field its name; {@code parts}, {@code code}, or {@code *} for the whole tool
 * @param base what stood before; empty where it was not there
 * @param theirs what stands on the incoming side
 * @param ours what stands on the local side
 */
public record MergeConflict(
    String code,
    String field,
    Optional<? extends MergeContent> base,
    Optional<? extends MergeContent> theirs,
    Optional<? extends MergeContent> ours) {

  /** The field name of conflicts about the whole tool. */
  public static final String WHOLE_TOOL = "*";

  /** The field name of conflicts about the parts of an assembly. */
  public static final String PARTS = "parts";

  /** The field name of conflicts about the code. */
  public static final String CODE = "code";
}
