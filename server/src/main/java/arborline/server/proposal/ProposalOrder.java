package arborline.server.proposal;

import arborline.server.tool.ToolDraft;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * What somebody proposes.
 *
 * @param library whose maintainers answer
 * @param reason why
 */
public record ProposalOrder(
    @Nullable Long library, @Nullable String reason, @Nullable List<ChangeOrder> changes) {

  /** What is to become of a tool. */
  public enum Kind {
    CHANGE,
    NEW,
    RETIRE
  }

  /**
   * One change.
   *
   * @param tool null for a new one
   * @param version from which a change started
   * @param draft null where a tool is to be retired
   */
  public record ChangeOrder(
      @Nullable Kind kind,
      @Nullable Long tool,
      @Nullable Integer version,
      @Nullable ToolDraft draft) {}
}
