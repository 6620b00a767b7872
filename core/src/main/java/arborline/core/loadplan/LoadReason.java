package arborline.core.loadplan;

import arborline.core.storage.PlaceLimits.Limit;
import java.util.Locale;

/** Why tools cannot be in. */
public enum LoadReason {
  TOO_LARGE,
  TOO_LONG,
  TOO_HEAVY,
  MOMENT,
  WRONG_SEAT,
  SWING,
  UNSUITED,
  DEDICATION,
  FIXED_PLACE_TAKEN,
  NO_ROOM,
  MASS_SUM,
  NO_ROOM_FOR_OVERSIZE,
  /** It may be that they can: there was no time to find out. */
  NOT_SETTLED;

  static LoadReason of(Limit limit) {
    return switch (limit) {
      case DIAMETER -> TOO_LARGE;
      case LENGTH -> TOO_LONG;
      case MASS -> TOO_HEAVY;
      case MOMENT -> MOMENT;
      case SEAT -> WRONG_SEAT;
      case SWING -> SWING;
    };
  }

  /** As files and answers write it: {@code too-large}. */
  public String code() {
    return name().toLowerCase(Locale.ROOT).replace('_', '-');
  }
}
