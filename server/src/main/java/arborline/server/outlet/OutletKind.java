package arborline.server.outlet;

/** Where an outlet writes. */
public enum OutletKind {
  /** A folder of this server's. */
  FOLDER,
  /** An address with a key, from which programs read. */
  ADDRESS
}
