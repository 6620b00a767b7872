package arborline.server.machine;

import arborline.core.tool.Tool;
import arborline.server.support.Refusal;
import arborline.server.tool.Holdings.UsedIn;
import arborline.server.tool.Tools;
import arborline.server.tool.Tools.Held;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Component;

/** The tools of load plans, each as the library has it from which it was picked. */
@Component
class PickedTools {

  private final Tools tools;

  PickedTools(Tools tools) {
    this.tools = tools;
  }

  /**
   * One tool.
   *
   * @param libraryId 0 where none is named
   */
  Held one(long toolId, long libraryId) {
    return Optional.ofNullable(tools.held(Map.of(toolId, libraryId)).get(toolId))
        .orElseThrow(() -> Refusal.notFound("there is no tool " + toolId));
  }

  /**
   * Several tools, by tool id.
   *
   * @param libraries of each; 0 where none is named
   */
  Map<Long, Held> all(Map<Long, Long> libraries) {
    Map<Long, Held> held = tools.held(libraries);
    libraries.keySet().stream()
        .filter(tool -> !held.containsKey(tool))
        .findFirst()
        .ifPresent(tool -> {
          throw Refusal.notFound("there is no tool " + tool);
        });
    return held;
  }

  /** The tools of a plan, by tool id. */
  Map<Long, Held> of(Collection<PlanPlace> places) {
    Map<Long, Long> libraries = new HashMap<>();
    places.forEach(place -> libraries.put(place.toolId, place.library()));
    return tools.held(libraries);
  }

  /** What they are in the versions that are meant, by tool id. */
  static Map<Long, Tool> tools(Map<Long, Held> held) {
    Map<Long, Tool> tools = new HashMap<>();
    held.forEach((id, one) -> tools.put(id, one.tool()));
    return tools;
  }

  /**
   * What is odd about where a tool comes from, in sentences.
   *
   * @param libraryId from which it was picked; 0 where none was named
   */
  static List<String> questions(Held held, long libraryId) {
    List<String> questions = new ArrayList<>();
    if (held.from().isEmpty()) {
      questions.add("it is in no library now");
      return questions;
    }
    UsedIn from = held.from().get();
    if (libraryId == 0) {
      held.others().stream()
          .filter(other -> other.number() != from.number() || other.versionId() != from.versionId())
          .findFirst()
          .ifPresent(other -> questions.add(differing(from, other)));
    } else if (from.libraryId() != libraryId) {
      questions.add(
          "the library from which it was planned no longer has it: it is taken as %s has it"
              .formatted(from.library()));
    }
    return questions;
  }

  private static String differing(UsedIn from, UsedIn other) {
    return other.number() != from.number()
        ? "it is number %d in %s and number %d in %s: it is planned as %s has it"
            .formatted(
                from.number(), from.library(), other.number(), other.library(), from.library())
        : "%s has it in another version: it is planned as %s has it"
            .formatted(other.library(), from.library());
  }
}
