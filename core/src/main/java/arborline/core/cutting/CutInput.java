package arborline.core.cutting;

/** What a way of cutting can ask for beside the speed. */
public enum CutInput {
  FEED_PER_TOOTH("Feed fz"),
  FEED_PER_REVOLUTION("Feed fn"),
  DEPTH("Depth ap"),
  WIDTH("Width ae"),
  WORK("Work diameter"),
  CENTRED("Over the middle");

  private final String title;

  CutInput(String title) {
    this.title = title;
  }

  /** What a form calls it, with the symbol of textbooks. */
  public String title() {
    return title;
  }
}
