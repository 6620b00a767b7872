package arborline.core.part21;

/** The sections of an exchange file. Source: ISO 10303-21, third edition. */
enum Section {
  /** Between two of them, or before the first. */
  NONE,
  HEADER,
  ANCHOR,
  REFERENCE,
  SIGNATURE,
  DATA,
  /** What stands behind the end of the exchange. */
  BEHIND;

  /** The one that a word begins, such as {@code DATA} or {@code DATA('A')}; else none. */
  static Section begunBy(String word) {
    return switch (word) {
      case "HEADER" -> HEADER;
      case "ANCHOR" -> ANCHOR;
      case "REFERENCE" -> REFERENCE;
      case "SIGNATURE" -> SIGNATURE;
      case "DATA" -> DATA;
      default -> word.startsWith("DATA(") || word.startsWith("DATA (") ? DATA : NONE;
    };
  }
}
