package arborline.core.connection;

import java.util.List;
import java.util.Optional;

/** A family of connections. Each is one class, found by the service loader. */
public interface Family {

  /** Two letters. */
  String id();

  /** True where spindles and turrets have such sockets, so that a stack can begin with it. */
  default boolean begins() {
    return false;
  }

  /** What people in a shop call it: {@code BT40}, {@code HSK-A63}, {@code ER16}. */
  String tradeName(Connection connection);

  /** What is wrong with form, size or gender, or nothing. */
  Optional<String> fault(Connection connection);

  /** Whether a socket of this family takes a shank of this family. */
  Joint joint(Connection socket, Connection shank);

  /** Why a shank of another family does not fit although it may look so. */
  default Optional<String> notWith(Family other) {
    return Optional.empty();
  }

  /** Fault text where a size is not in a series. */
  static Optional<String> inSeries(String what, String size, List<String> series) {
    return series.contains(size)
        ? Optional.empty()
        : Optional.of(
            "%s size %s not in the series %s".formatted(what, size, String.join(" ", series)));
  }
}
