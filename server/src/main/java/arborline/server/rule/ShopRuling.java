package arborline.server.rule;

import arborline.core.library.Standing;
import arborline.server.account.Actor;
import arborline.server.account.Permission;
import arborline.server.account.Role;
import arborline.server.live.Live;
import arborline.server.support.Json;
import arborline.server.support.Refusal;
import arborline.server.trail.Trail;
import arborline.server.trail.TrailRecord;
import arborline.server.trail.Undo;
import arborline.server.trail.UndoKind;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.http.HttpStatus;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Says what the shop has decided, refuses what goes against it, and changes it. */
@Service
public class ShopRuling implements Undo<ShopRuling.Decided> {

  private static final UndoKind<Decided> KIND =
      new UndoKind<>("shop.rules", 1, Decided.class, Permission.MANAGE_ACCOUNTS);

  private final JdbcClient jdbc;
  private final Json json;
  private final Trail trail;
  private final Live live;

  ShopRuling(JdbcClient jdbc, Json json, Trail trail, Live live) {
    this.jdbc = jdbc;
    this.json = json;
    this.trail = trail;
    this.live = live;
  }

  /**
   * What stands.
   *
   * @param version has to come back with a change, so that nobody overwrites what he has not seen
   */
  public record RulesStanding(ShopRules rules, int version) {}

  /** What was decided before, and then. */
  record Decided(ShopRules.Kept before, ShopRules.Kept after) {}

  @Transactional(readOnly = true)
  public RulesStanding standing() {
    return jdbc.sql("select rules, version_no from shop_rules")
        .query((row, index) ->
            new RulesStanding(
                json.read(row.getString(1), ShopRules.Kept.class).rules(), row.getInt(2)))
        .single();
  }

  /** Refuses where the role of whoever acts may not bring tools to a standing. */
  @Transactional(readOnly = true)
  public void needStanding(Standing to) {
    Optional<Role> role = Actor.role();
    if (role.isEmpty()) {
      return;
    }
    Set<Role> may = standing().rules().standings().get(to);
    if (!may.contains(role.get())) {
      throw Refusal.of(
          HttpStatus.FORBIDDEN, "in this shop %s, who may change that".formatted(said(to, may)));
    }
  }

  /** Who brings tools to a standing, in a sentence without its end. */
  private static String said(Standing to, Set<Role> may) {
    String who = may.contains(Role.PROGRAMMER) ? "the lead and programmers" : "the lead";
    return switch (to) {
      case DRAFT -> "drafts are made of tools only by " + who;
      case CHECKED -> "tools are checked only by " + who;
      case RELEASED -> "tools are released only by " + who;
      case RETIRED -> "tools are retired only by " + who;
    };
  }

  /** Decides otherwise. */
  @Transactional
  public RulesStanding change(int version, ShopRules wanted) {
    ShopRules before = standing().rules();
    if (jdbc.sql(
                "update shop_rules set rules = ?, version_no = version_no + 1 where version_no = ?")
            .params(json.text(kept(wanted)), version)
            .update()
        == 0) {
      throw Refusal.conflict("somebody else decided about this meanwhile; look again");
    }
    trail.record(
        TrailRecord.of("shop", 1, "decided that " + told(wanted))
            .undoneBy(KIND, new Decided(kept(before), kept(wanted))));
    live.say("shop", 1, "rules");
    return standing();
  }

  private static ShopRules.Kept kept(ShopRules rules) {
    return new ShopRules.Kept(new TreeMap<>(rules.standings()), rules.unreleased());
  }

  private static String told(ShopRules rules) {
    String standings =
        Stream.of(Standing.values())
            .map(standing -> said(standing, rules.standings().get(standing)))
            .collect(Collectors.joining(", "));
    return standings
        + (rules.unreleased()
            ? ", tools are planned whatever their standing"
            : ", only released tools are planned unless the lead allows one");
  }

  @Override
  public UndoKind<Decided> kind() {
    return KIND;
  }

  @Override
  public void takeBack(Decided decided) {
    String now = jdbc.sql("select rules from shop_rules").query(String.class).single();
    if (!json.read(now, ShopRules.Kept.class).rules().equals(decided.after().rules())) {
      throw Refusal.conflict("this was decided again since; take that back first");
    }
    jdbc.sql("update shop_rules set rules = ?, version_no = version_no + 1")
        .param(json.text(decided.before()))
        .update();
    live.say("shop", 1, "rules");
  }
}
