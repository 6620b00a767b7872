package arborline.server.support;

import java.util.List;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;

/**
 * A page of a collection.
 *
 * @param next cursor of the following page, or null at the end
 */
public record Slice<T>(List<T> items, @Nullable String next) {

  /** Cuts a list that was read with one item more than the limit. */
  public static <T> Slice<T> cut(List<T> items, int limit, Function<T, String> cursor) {
    return items.size() <= limit
        ? new Slice<>(items, null)
        : new Slice<>(items.subList(0, limit), cursor.apply(items.get(limit - 1)));
  }

  public static <T> Slice<T> all(List<T> items) {
    return new Slice<>(items, null);
  }
}
