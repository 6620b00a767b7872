package arborline.core.tool;

/** The kind of work a tool class belongs to. */
public enum Process {
  MILLING(Motion.MILLS),
  HOLE_MAKING(Motion.DRILLS),
  THREADING(Motion.TAPS),
  TURNING(Motion.TURNS),
  ROUTING(Motion.MILLS),
  PROBING(Motion.STANDS),
  JET(Motion.STANDS);

  private final Motion motion;

  Process(Motion motion) {
    this.motion = motion;
  }

  /** How most tools of this kind of work move. */
  public Motion motion() {
    return motion;
  }
}
