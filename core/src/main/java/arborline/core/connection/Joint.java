package arborline.core.connection;

import java.util.Optional;

/**
 * Whether two sides mate.
 *
 * @param why the reason, either way
 * @param warning what to look at although they mate
 */
public record Joint(boolean mates, String why, Optional<String> warning) {

  static Joint yes(String why) {
    return new Joint(true, why, Optional.empty());
  }

  static Joint warned(String why, String warning) {
    return new Joint(true, why, Optional.of(warning));
  }

  static Joint no(String why) {
    return new Joint(false, why, Optional.empty());
  }

  /** Judges two codes, in either order. */
  public static Joint of(String one, String other) {
    Connection.Read first = Connection.read(one);
    Connection.Read second = Connection.read(other);
    for (Connection.Read side : new Connection.Read[] {first, second}) {
      if (side.connection().isEmpty()) {
        return no("invalid code: " + side.fault());
      }
    }
    return of(first.connection().orElseThrow(), second.connection().orElseThrow());
  }

  /** Judges two sides, in either order. */
  public static Joint of(Connection one, Connection other) {
    if (one.family() != other.family()) {
      return no(
          one.family()
              .notWith(other.family())
              .or(() -> other.family().notWith(one.family()))
              .orElse("different families of connection"));
    }
    if (one.socket() == other.socket()) {
      return no("same gender: needs one socket (f) and one shank (m)");
    }
    return one.family().joint(one.socket() ? one : other, one.socket() ? other : one);
  }
}
