package arborline.core.sharing;

/** What somebody may do in a library; each includes those before it. */
public enum LibraryRight {
  /** See it, take tools of it and read it out. */
  USE("use"),
  /** Propose changes that others take or decline. */
  PROPOSE("propose changes to"),
  /** Change what is in it. */
  MAINTAIN("maintain"),
  /** Say what it is for and who may do what, and delete it. */
  OWNER("own");

  private final String verb;

  LibraryRight(String verb) {
    this.verb = verb;
  }

  /** What one does who has it: {@code maintain}. */
  public String verb() {
    return verb;
  }

  /** True where it includes another. */
  public boolean includes(LibraryRight other) {
    return compareTo(other) >= 0;
  }
}
