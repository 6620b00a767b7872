package arborline.server.machine;

import arborline.core.finding.Finding;
import arborline.core.library.Standing;
import arborline.core.tool.Tool;
import arborline.server.account.Actor;
import arborline.server.account.Role;
import arborline.server.rule.ShopRuling;
import arborline.server.support.Refusal;
import arborline.server.tool.ToolJudge;
import arborline.server.tool.Tools;
import java.util.List;
import java.util.Optional;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;

/** Which tools may enter load plans: released ones, others where the shop or the lead lets them. */
@Component
class PlannableTools {

  private final Tools tools;
  private final ShopRuling ruling;

  PlannableTools(Tools tools, ShopRuling ruling) {
    this.tools = tools;
    this.ruling = ruling;
  }

  /**
   * Refuses a tool that may not be planned.
   *
   * @param allow true where the lead lets one in that is not released
   * @return what the trail has to say of it besides; empty for a released tool
   */
  String although(long toolId, boolean allow) {
    Tool tool = tools.get(toolId).tool();
    List<Finding> missing = ToolJudge.missing(tool);
    if (!missing.isEmpty()) {
      throw Refusal.conflict(
          "%s is a draft that cannot be planned: %s"
              .formatted(tool.code(), missing.getFirst().message()),
          missing);
    }
    Standing standing = tools.standing(toolId);
    if (standing == Standing.RELEASED || Actor.role().isEmpty()) {
      return "";
    }
    if (ruling.standing().rules().unreleased() && standing != Standing.RETIRED) {
      return "";
    }
    return allowed(tool, standing, allow);
  }

  /**
   * Why a tool is not planned as it stands; empty where it can be.
   *
   * @param allow true where the lead lets one in that is not released
   */
  Optional<String> obstacle(long toolId, boolean allow) {
    try {
      although(toolId, allow);
      return Optional.empty();
    } catch (Refusal refused) {
      return Optional.ofNullable(refused.getMessage());
    }
  }

  /** A tool that is not planned for how far it is trusted. */
  record Unreleased(String code, Standing standing) {}

  private static String allowed(Tool tool, Standing standing, boolean allow) {
    Optional<Role> role = Actor.role();
    if (role.filter(Role.LEAD::equals).isEmpty()) {
      throw Refusal.of(
          allow ? HttpStatus.FORBIDDEN : HttpStatus.CONFLICT,
          "%s is %s, and only released tools are planned: release it first, or ask the lead, who may allow it"
              .formatted(tool.code(), stands(standing)));
    }
    if (!allow) {
      throw Refusal.conflict(
          "%s is %s, and only released tools are planned: release it first, or allow it, which is kept on the trail"
              .formatted(tool.code(), stands(standing)),
          new Unreleased(tool.code(), standing));
    }
    return ", which is %s, and allowed it".formatted(stands(standing));
  }

  private static String stands(Standing standing) {
    return standing == Standing.DRAFT ? "a draft" : standing.word();
  }
}
