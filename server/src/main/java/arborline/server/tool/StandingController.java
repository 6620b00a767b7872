package arborline.server.tool;

import arborline.core.library.Standing;
import arborline.server.account.MayEdit;
import arborline.server.support.LongWork;
import arborline.server.support.Refusal;
import arborline.server.support.ToolIds;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** How far tools are trusted. */
@RestController
@RequestMapping("/api/v1/tools/standing")
class StandingController {

  private static final int MOST_TOOLS = 100_000;

  private final StandingMoves moves;

  StandingController(StandingMoves moves) {
    this.moves = moves;
  }

  /** Which tools are to have which standing. */
  record StandingOrder(@Nullable List<@Nullable Long> tools, @Nullable Standing standing) {}

  /** Brings tools to a standing, all or none. */
  @PostMapping
  @MayEdit
  @LongWork
  StandingMoves.StandingMoved move(@RequestBody StandingOrder order) {
    if (order.standing() == null) {
      throw Refusal.badRequest("standing is DRAFT, CHECKED, RELEASED or RETIRED");
    }
    return moves.move(ToolIds.of("tools", order.tools(), MOST_TOOLS), order.standing());
  }
}
