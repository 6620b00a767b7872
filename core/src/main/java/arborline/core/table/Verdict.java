package arborline.core.table;

/** What is proposed about a place or a field, with the sentence that says why. */
record Verdict(Why why, String reason) {

  static Verdict of(Why why, String sentence, Object... parts) {
    return new Verdict(why, sentence.formatted(parts));
  }
}
