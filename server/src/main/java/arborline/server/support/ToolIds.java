package arborline.server.support;

import java.util.List;
import java.util.Objects;
import org.jspecify.annotations.Nullable;

/** Lists of tools as orders name them. */
public final class ToolIds {

  private ToolIds() {}

  /**
   * The ids of a member, each once.
   *
   * @throws Refusal where there is none, one is missing, or there are more than the most
   */
  public static List<Long> of(String member, @Nullable List<@Nullable Long> given, int most) {
    if (given == null || given.isEmpty() || given.stream().anyMatch(Objects::isNull)) {
      throw Refusal.badRequest("%s is a list of the ids of tools".formatted(member));
    }
    if (given.size() > most) {
      throw Refusal.badRequest("at most %d tools at once".formatted(most));
    }
    return given.stream().map(Objects::requireNonNull).distinct().toList();
  }
}
