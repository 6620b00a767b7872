package arborline.core.turning;

/**
 * How a tool is mounted on a turning centre. The main chuck is on the left, +Z to the right, the
 * operator in front.
 *
 * @param turret where the turret stands
 * @param commonX true where +X points to the rear for all turrets; false where it points from the
 *     axis towards the tool's own turret
 * @param subSpindle true for work on the sub spindle, whose chuck is on the right
 * @param mirroredZ true where Z is mirrored for the sub spindle
 * @param axial true for a shank parallel to Z
 * @param rakeUp true where the rake face is turned up
 */
public record Mounting(
    Side turret,
    boolean commonX,
    boolean subSpindle,
    boolean mirroredZ,
    boolean axial,
    Work work,
    Hand hand,
    boolean rakeUp) {

  /** Side of the axis as the operator sees it. */
  public enum Side {
    FRONT(1),
    REAR(-1);

    private final int sign;

    Side(int sign) {
      this.sign = sign;
    }

    int sign() {
      return sign;
    }
  }

  /** What the tool works on. */
  public enum Work {
    EXTERNAL,
    INTERNAL,
    FACE,
    CENTER
  }

  /** Hand of a tool. */
  public enum Hand {
    R(1),
    L(-1),
    N(0);

    private final int sign;

    Hand(int sign) {
      this.sign = sign;
    }

    int sign() {
      return sign;
    }
  }

  int rake() {
    return rakeUp ? 1 : -1;
  }

  /** +1 on the main spindle, -1 on the sub spindle. */
  int spindle() {
    return subSpindle ? -1 : 1;
  }
}
