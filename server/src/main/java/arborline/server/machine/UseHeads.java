package arborline.server.machine;

import arborline.core.finding.Finding;
import arborline.core.finding.Severity;
import arborline.core.machine.Machine;
import arborline.core.tool.Tool;
import arborline.core.use.BlockAngle;
import arborline.core.use.ToolUse;
import arborline.core.use.UseReader;
import arborline.core.use.UseReading;
import arborline.core.use.UsualUse;
import arborline.server.stack.Assemblies.AssembledTool;
import java.math.BigDecimal;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** How the tools of a plan are used, in short. */
@Component
class UseHeads {

  private static final BigDecimal HALFWAY = new BigDecimal("45");

  private final UseStore store;
  private final PostOfMachine posts;

  UseHeads(UseStore store, PostOfMachine posts) {
    this.store = store;
    this.posts = posts;
  }

  /**
   * A use in short.
   *
   * @param spindle whose work it cuts; empty where the machine turns no work
   * @param along true where the tool points more along that spindle than across it
   * @param holds why it cannot be so, in sentences
   */
  record UseHead(
      boolean driven,
      String spindle,
      boolean along,
      @Nullable Integer orientation,
      @Nullable String sense,
      List<String> holds) {

    /** As somebody would say it, such as {@code held along main, tip orientation 3}. */
    String words() {
      StringBuilder words = new StringBuilder(driven ? "driven" : "held");
      if (!spindle.isEmpty()) {
        words.append(along ? " along " : " across ").append(spindle);
      }
      if (orientation != null) {
        words.append(", tip orientation ").append(orientation);
      }
      return words.append(sense == null ? "" : ", " + sense).toString();
    }
  }

  /**
   * Uses of a plan in short, by place.
   *
   * @param assembled tools in their holders, by place
   */
  Map<String, UseHead> of(
      Machine machine,
      Map<String, Plans.Planned> plan,
      Map<Long, Tool> tools,
      Map<String, AssembledTool> assembled) {
    Map<String, ToolUse> kept = store.all(machine.id());
    Map<String, String> defaults = defaults(machine);
    Map<String, UseHead> heads = new HashMap<>();
    plan.forEach((place, planned) ->
        machine
            .placed(place)
            .filter(placed -> tools.containsKey(planned.toolId()))
            .ifPresent(placed -> {
              Tool tool = tools.get(planned.toolId());
              Optional<BigDecimal> block =
                  BlockAngle.of(
                      placed,
                      Optional.ofNullable(assembled.get(place)).map(AssembledTool::assembly));
              ToolUse use =
                  Optional.ofNullable(kept.get(UseStore.key(planned.toolId(), place)))
                      .orElseGet(() ->
                          UsualUse.of(
                              machine,
                              placed,
                              tool,
                              PlanNumbers.offset(machine, planned.place(), planned.entry()),
                              defaults,
                              block));
              heads.put(place, head(use, UseReader.of(machine, placed, tool, use, block)));
            }));
    return heads;
  }

  private static UseHead head(ToolUse use, UseReading reading) {
    return new UseHead(
        use.driven(),
        use.spindle(),
        use.angle().abs().compareTo(HALFWAY) < 0,
        reading.orientation(),
        reading.sense(),
        holds(reading).stream().map(Finding::message).toList());
  }

  /** What operations of a machine begin with, by its post. */
  Map<String, String> defaults(Machine machine) {
    return posts.of(machine.id()).map(PostOfMachine.Brought::defaults).orElse(Map.of());
  }

  /** Why a tool cannot be used so. */
  static List<Finding> holds(UseReading reading) {
    return reading.findings().stream()
        .filter(finding -> finding.severity() == Severity.HOLD)
        .toList();
  }
}
