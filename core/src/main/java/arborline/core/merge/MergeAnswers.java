package arborline.core.merge;

import arborline.core.library.Codes;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;

/** What somebody answered to the questions of a merge, by tool and field. */
public final class MergeAnswers {

  /** Nothing is answered yet. */
  public static final MergeAnswers NONE = new MergeAnswers(Map.of());

  /** Which question: the code that the conflict names, whatever its letter case, and its field. */
  public record Question(String code, String field) {

    public Question {
      code = Codes.key(code);
    }
  }

  /** Whose stands. */
  public enum Side {
    OURS,
    THEIRS
  }

  private final Map<Question, Side> answers;

  public MergeAnswers(Map<Question, Side> answers) {
    this.answers = Map.copyOf(answers);
  }

  /** With one more answer. */
  public MergeAnswers with(String code, String field, Side side) {
    Map<Question, Side> more = new HashMap<>(answers);
    more.put(new Question(code, field), side);
    return new MergeAnswers(more);
  }

  Optional<Side> to(String code, String field) {
    return Optional.ofNullable(answers.get(new Question(code, field)));
  }
}
