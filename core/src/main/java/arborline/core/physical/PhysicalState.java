package arborline.core.physical;

import java.util.EnumSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.stream.Stream;

/** In which state a physical tool is. */
public enum PhysicalState {
  /** It has cut nothing yet. */
  NEW,
  IN_USE,
  /** Its edges are used up, or its life is. */
  WORN,
  BROKEN,
  /** Its edges were ground again: what was measured before is none of its sizes. */
  REGROUND,
  /** Nobody knows where it is. */
  LOST;

  private static final Set<PhysicalState> USABLE = EnumSet.of(NEW, IN_USE, REGROUND);

  /** True where it may be planned, kitted and loaded. */
  public boolean usable() {
    return USABLE.contains(this);
  }

  /**
   * True where one state may follow this one. Nothing is new again, a broken edge comes back by
   * grinding only, and what was lost is found in some state other than new or ground.
   */
  public boolean mayBecome(PhysicalState next) {
    if (next == this) {
      return this == REGROUND;
    }
    return switch (next) {
      case NEW -> false;
      case IN_USE -> this != BROKEN && this != WORN;
      case REGROUND -> this != NEW && this != LOST;
      case WORN -> this != BROKEN;
      case BROKEN, LOST -> true;
    };
  }

  /** All states that may follow, in their order. */
  public List<PhysicalState> following() {
    return Stream.of(values()).filter(this::mayBecome).toList();
  }

  /** As people call it: {@code in use}. */
  public String words() {
    return name().toLowerCase(Locale.ROOT).replace('_', ' ');
  }
}
