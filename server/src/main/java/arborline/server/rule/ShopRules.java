package arborline.server.rule;

import arborline.core.library.Standing;
import arborline.server.account.Role;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * What a shop has decided for itself.
 *
 * @param standings which roles may bring tools to each standing, besides the lead
 * @param unreleased true where tools that are not released may be planned by whoever plans; else
 *     only where the lead says so
 */
public record ShopRules(Map<Standing, Set<Role>> standings, boolean unreleased) {

  /** Roles that can be let: the others change no tools. */
  static final Set<Role> LET = EnumSet.of(Role.LEAD, Role.PROGRAMMER);

  public ShopRules {
    Map<Standing, Set<Role>> all = new EnumMap<>(Standing.class);
    for (Standing standing : Standing.values()) {
      Set<Role> roles = EnumSet.of(Role.LEAD);
      roles.addAll(standings.getOrDefault(standing, LET));
      all.put(standing, roles);
    }
    standings = Map.copyOf(all);
  }

  /** What counts until a shop decides. */
  static final ShopRules USUAL = new ShopRules(Map.of(), false);

  /** As they are kept; what was never decided is null. */
  record Kept(@Nullable Map<Standing, Set<Role>> standings, @Nullable Boolean unreleased) {

    ShopRules rules() {
      return new ShopRules(
          standings == null ? Map.of() : standings, Boolean.TRUE.equals(unreleased));
    }
  }
}
