package arborline.core.sharing;

/** With whom a library is shared. */
public enum Sharing {
  /** Only with those who are named; nobody else sees it. */
  PRIVATE,
  /** With the whole shop, each by his role. */
  SHOP,
  /** With the whole shop to be read; nobody changes what is in it. */
  REFERENCE
}
