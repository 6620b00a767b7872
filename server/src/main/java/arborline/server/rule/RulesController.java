package arborline.server.rule;

import arborline.core.library.Standing;
import arborline.server.account.MayManageAccounts;
import arborline.server.account.Role;
import arborline.server.support.Refusal;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** What the shop has decided. */
@RestController
@RequestMapping("/api/v1/shop/rules")
class RulesController {

  private final ShopRuling ruling;

  RulesController(ShopRuling ruling) {
    this.ruling = ruling;
  }

  /**
   * Which roles may bring tools to a standing.
   *
   * @param roles the lead always may
   */
  record StandingRule(@Nullable Standing standing, @Nullable List<@Nullable Role> roles) {}

  /**
   * What is decided.
   *
   * @param unreleased true where tools that are not released may be planned by whoever plans
   * @param roles that can be let
   */
  record RulesView(
      List<StandingRule> standings, boolean unreleased, List<Role> roles, int version) {}

  /** What is to be decided. */
  record RulesOrder(
      @Nullable List<@Nullable StandingRule> standings,
      @Nullable Boolean unreleased,
      @Nullable Integer version) {}

  @GetMapping
  RulesView all() {
    return view(ruling.standing());
  }

  private static RulesView view(ShopRuling.RulesStanding standing) {
    Map<Standing, Set<Role>> all = standing.rules().standings();
    return new RulesView(
        List.of(Standing.values()).stream()
            .map(one -> new StandingRule(one, all.get(one).stream().sorted().toList()))
            .toList(),
        standing.rules().unreleased(),
        ShopRules.LET.stream().sorted().toList(),
        standing.version());
  }

  /** Decides; what is left out stays as it is. */
  @PutMapping
  @MayManageAccounts
  RulesView change(@RequestBody RulesOrder order) {
    if (order.version() == null) {
      throw Refusal.badRequest("say which version of the rules this was decided for");
    }
    ShopRules now = ruling.standing().rules();
    Map<Standing, Set<Role>> standings = new EnumMap<>(now.standings());
    for (StandingRule rule : Optional.ofNullable(order.standings()).orElse(List.of())) {
      if (rule == null || rule.standing() == null || rule.roles() == null) {
        throw Refusal.badRequest("a rule has a standing and the roles that may bring tools there");
      }
      standings.put(rule.standing(), roles(rule.roles()));
    }
    boolean unreleased = Optional.ofNullable(order.unreleased()).orElse(now.unreleased());
    return view(ruling.change(order.version(), new ShopRules(standings, unreleased)));
  }

  private static Set<Role> roles(List<@Nullable Role> given) {
    Set<Role> roles = EnumSet.noneOf(Role.class);
    for (Role role : given) {
      if (role == null || !ShopRules.LET.contains(role)) {
        throw Refusal.badRequest(
            "roles are some of %s; others change no tools".formatted(ShopRules.LET));
      }
      roles.add(role);
    }
    return roles;
  }
}
