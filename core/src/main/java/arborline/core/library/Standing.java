package arborline.core.library;

import java.util.Locale;

/** How far a shop trusts a tool, from the first draft to the last. */
public enum Standing {
  /** Somebody writes on it. */
  DRAFT("made a draft of"),
  /** It passed inspection, and somebody took it. */
  CHECKED("checked"),
  /** It may be used. */
  RELEASED("released"),
  /** It is kept for what refers to it, and not used again. */
  RETIRED("retired");

  private final String deed;

  Standing(String deed) {
    this.deed = deed;
  }

  public String word() {
    return name().toLowerCase(Locale.ROOT);
  }

  /** What somebody did who brought a tool there: {@code released}. */
  public String deed() {
    return deed;
  }

  /** Its place in order, from 0 for a draft. */
  public int place() {
    return ordinal();
  }

  /**
   * The standing of a place.
   *
   * @throws IllegalArgumentException where no standing has it
   */
  public static Standing at(int place) {
    if (place < 0 || place >= values().length) {
      throw new IllegalArgumentException("no standing has the place " + place);
    }
    return values()[place];
  }
}
