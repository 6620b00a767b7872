package arborline.core.tool;

/** How a tool and the work move against each other while it cuts; cutting data follow from it. */
public enum Motion {
  /** The tool turns, its edges enter and leave the work. */
  MILLS,
  /** The tool turns and feeds along its axis. */
  DRILLS,
  /** The tool turns and feeds one pitch in a turn. */
  TAPS,
  /** The edge stays in the work, which turns, or turns around it. */
  TURNS,
  /** Cuts nothing by turning: probes, nozzles, items without a shank. */
  STANDS
}
