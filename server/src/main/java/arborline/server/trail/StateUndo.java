package arborline.server.trail;

import arborline.server.account.Permission;
import arborline.server.support.Json;
import arborline.server.support.Refusal;
import java.util.Objects;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * Takes back deeds that gave one thing another state. What it is now must be what the deed made of
 * it; else a later change would be lost.
 *
 * @param <S> everything of the thing but its identity, compared by {@code equals}
 */
public abstract class StateUndo<S> implements Undo {

  private final Json json;
  private final Class<S> type;

  protected StateUndo(Json json, Class<S> type) {
    this.json = json;
    this.type = type;
  }

  /**
   * A deed, with the states as JSON.
   *
   * @param owner what the thing belongs to
   * @param before null where the deed made the thing
   * @param after null where the deed took it away
   */
  public record Deed(long id, long owner, @Nullable String before, @Nullable String after) {}

  /** What is to be kept of a deed. */
  public final Deed deed(long id, long owner, @Nullable S before, @Nullable S after) {
    return new Deed(
        id,
        owner,
        before == null ? null : json.text(before),
        after == null ? null : json.text(after));
  }

  @Override
  public Permission needs() {
    return Permission.EDIT;
  }

  @Override
  public final void undo(String data) {
    Deed deed = json.read(data, Deed.class);
    S after = deed.after() == null ? null : json.read(deed.after(), type);
    if (!Objects.equals(now(deed.id()).orElse(null), after)) {
      throw Refusal.conflict("this was changed again since; take the later change back first");
    }
    if (deed.before() == null) {
      remove(deed.id());
    } else {
      put(deed.id(), deed.owner(), json.read(deed.before(), type));
    }
    tell(deed.owner());
  }

  /** What the thing is now; nothing where it is gone. */
  protected abstract Optional<S> now(long id);

  protected abstract void remove(long id);

  /** Gives the thing a state; makes it where it is gone. */
  protected abstract void put(long id, long owner, S state);

  /** Tells those who look at the owner. */
  protected abstract void tell(long owner);
}
