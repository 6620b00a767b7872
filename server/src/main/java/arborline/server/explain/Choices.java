package arborline.server.explain;

import arborline.core.finding.Finding;
import arborline.core.turning.Mounting;
import java.util.Locale;
import java.util.Optional;

/** Reads words of a fixed choice and keeps the first that is none of it. */
final class Choices {

  private Finding fault;

  /** The mounting that the words describe; ask {@link #fault()} before using it. */
  Mounting mounting(
      String turretSide,
      String xAxis,
      String spindle,
      String zAxis,
      String mount,
      String work,
      String hand,
      String rake) {
    return new Mounting(
        one(Mounting.Side.class, "turretSide", turretSide),
        first("xAxis", xAxis, "rear", "own"),
        first("spindle", spindle, "sub", "main"),
        first("zAxis", zAxis, "mirrored", "common"),
        first("mount", mount, "axial", "radial"),
        one(Mounting.Work.class, "work", work),
        one(Mounting.Hand.class, "hand", hand),
        first("rake", rake, "up", "down"));
  }

  Optional<Finding> fault() {
    return Optional.ofNullable(fault);
  }

  private boolean first(String name, String word, String first, String second) {
    if (!word.equals(first) && !word.equals(second)) {
      refuse(name, word, first + ", " + second);
    }
    return word.equals(first);
  }

  private <E extends Enum<E>> E one(Class<E> type, String name, String word) {
    for (E candidate : type.getEnumConstants()) {
      if (candidate.name().equalsIgnoreCase(word)) {
        return candidate;
      }
    }
    refuse(
        name,
        word,
        String.join(
            ", ",
            java.util.Arrays.stream(type.getEnumConstants())
                .map(candidate -> candidate.name().toLowerCase(Locale.ROOT))
                .toList()));
    return type.getEnumConstants()[0];
  }

  private void refuse(String name, String word, String allowed) {
    if (fault == null) {
      fault =
          Finding.hold("choice", "%s is one of %s, not '%s'".formatted(name, allowed, word), name);
    }
  }
}
