package arborline.core.exchange;

/** What a file can carry of a bundle; a format says which of it does. */
public enum Carried {
  DEFAULT_MARK("the mark 'default, not confirmed' is dropped"),
  FORMULAS("the formula is dropped, its result is written"),
  NOTES("the note is dropped"),
  NUMBER("the number is dropped"),
  SECTION("the section is dropped"),
  ATTACHMENTS("the attachment is dropped"),
  CUTTING("cutting data is dropped"),
  STACKS("the stack is dropped, and with it which parts hold the tool"),
  PARTS("the part is dropped");

  private final String loss;

  Carried(String loss) {
    this.loss = loss;
  }

  /** What is said where a format does not carry it. */
  public String loss() {
    return loss;
  }
}
