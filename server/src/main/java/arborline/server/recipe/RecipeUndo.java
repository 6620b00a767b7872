package arborline.server.recipe;

import arborline.server.account.Permission;
import arborline.server.trail.Undo;
import arborline.server.trail.UndoKind;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/** Brings a recipe back that was put away. */
@Component
class RecipeUndo implements Undo<RecipeUndo.PutAway> {

  static final UndoKind<PutAway> KIND =
      new UndoKind<>("recipe.put-away", 1, PutAway.class, Permission.RECEIVE);

  record PutAway(String nameKey) {}

  private final JdbcClient jdbc;

  RecipeUndo(JdbcClient jdbc) {
    this.jdbc = jdbc;
  }

  @Override
  public UndoKind<PutAway> kind() {
    return KIND;
  }

  @Override
  public void takeBack(PutAway deed) {
    jdbc.sql("update recipe set put_away_at = null where name_key = ?")
        .param(deed.nameKey())
        .update();
  }
}
