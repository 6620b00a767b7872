package arborline.server.proposal;

import arborline.server.tool.ProposedChange;
import arborline.server.tool.ToolDraft;
import java.time.Instant;
import java.util.List;
import org.jspecify.annotations.Nullable;

/** What is said of proposals. */
public final class ProposalViews {

  private ProposalViews() {}

  /** Whether it waits to be proposed, to be answered, or is over. */
  public enum State {
    COLLECTED,
    OPEN,
    ANSWERED,
    WITHDRAWN
  }

  /** What became of one change. */
  public enum Answer {
    TAKEN,
    DECLINED
  }

  /**
   * A proposal in a list.
   *
   * @param mine true where whoever asks made it
   * @param toMe true where whoever asks may answer it
   * @param taken how many of its changes were taken
   * @param seen true once whoever made it has seen the answer
   */
  public record ProposalHead(
      long id,
      long libraryId,
      String library,
      String reason,
      State state,
      String madeBy,
      Instant madeAt,
      @Nullable String answeredBy,
      @Nullable Instant answeredAt,
      String words,
      int changes,
      int taken,
      boolean mine,
      boolean toMe,
      boolean seen) {}

  /**
   * What a change would touch.
   *
   * @param machines in whose load plans the tool stands
   * @param libraries that follow its newest version
   * @param stacks that hold it
   */
  public record Touched(List<String> machines, List<String> libraries, long stacks) {}

  /**
   * One change of a proposal.
   *
   * @param place by which it is answered
   * @param base the version that a change started from; 0 for anything else
   * @param outcome what would come of it now; null for a retired tool, and once answered
   * @param name as the tool has it now, and as proposed where it is new
   * @param draft of a new tool or a change
   */
  public record ChangeView(
      int place,
      ProposalOrder.Kind kind,
      @Nullable Long toolId,
      int base,
      String code,
      String name,
      @Nullable ToolDraft draft,
      ProposedChange.@Nullable ProposedOutcome outcome,
      @Nullable Touched touched,
      @Nullable Answer answer) {}

  /** A proposal with all its changes. */
  public record ProposalView(ProposalHead proposal, List<ChangeView> changes) {}
}
