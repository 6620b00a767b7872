package arborline.server.trail;

import arborline.server.account.Permission;
import arborline.server.support.Json;
import arborline.server.support.Refusal;
import java.util.Objects;
import java.util.Optional;
import java.util.function.BiConsumer;
import java.util.function.Consumer;
import java.util.function.Function;
import java.util.function.LongConsumer;
import java.util.function.LongFunction;
import org.jspecify.annotations.Nullable;

/**
 * Takes back deeds that gave one thing another state. What it is now must be what the deed made of
 * it; else a later change would be lost.
 *
 * @param <R> the thing as a row
 * @param <S> everything of the thing but its identity, compared by {@code equals}
 * @param tell tells those who look at the owner
 */
public record StateUndo<R, S>(
    UndoKind<Deed> kind, Rows<R> rows, States<R, S> states, LongConsumer tell, Json json)
    implements Undo<StateUndo.Deed> {

  /**
   * Where the things are kept.
   *
   * @param make a thing without a state, from its owner
   */
  public record Rows<R>(
      LongFunction<Optional<R>> find, LongFunction<R> make, Consumer<R> save, Consumer<R> delete) {}

  /** How a thing gives its state and takes another. */
  public record States<R, S>(Class<S> type, Function<R, S> of, BiConsumer<S, R> to) {}

  /**
   * A deed, with the states as JSON.
   *
   * @param owner what the thing belongs to
   * @param before null where the deed made the thing
   * @param after null where the deed took it away
   */
  public record Deed(long id, long owner, @Nullable String before, @Nullable String after) {

    public static Deed of(
        Json json, long id, long owner, @Nullable Object before, @Nullable Object after) {
      return new Deed(
          id,
          owner,
          before == null ? null : json.text(before),
          after == null ? null : json.text(after));
    }
  }

  /** A kind of such deeds. */
  public static UndoKind<Deed> kind(String name, Permission needs) {
    return new UndoKind<>(name, 1, Deed.class, needs);
  }

  @Override
  public void takeBack(Deed deed) {
    Optional<R> now = rows.find().apply(deed.id());
    if (!Objects.equals(now.map(states.of()).orElse(null), state(deed.after()))) {
      throw Refusal.conflict("this was changed again since; take the later change back first");
    }
    S before = state(deed.before());
    if (before == null) {
      now.ifPresent(rows.delete());
    } else {
      R row = now.orElseGet(() -> rows.make().apply(deed.owner()));
      states.to().accept(before, row);
      rows.save().accept(row);
    }
    tell.accept(deed.owner());
  }

  private @Nullable S state(@Nullable String text) {
    return text == null ? null : json.read(text, states.type());
  }
}
