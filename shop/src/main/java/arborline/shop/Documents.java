package arborline.shop;

/** What a control sends and takes as files. */
interface Documents {

  /** A document as it is now; null where it has none of that name. */
  String document(String name);

  /**
   * Takes a file.
   *
   * @return false where it takes none of that name
   * @throws RefusedException where it does not take this one
   */
  boolean take(String name, String text);
}
