package arborline.core.scene;

import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * Work spindles and what brings tools to them, seen across the spindle line, mm, x to the right and
 * y down. Tools of a turret in front stand below the line, all others above.
 *
 * @param axis y of the spindle line
 */
public record WorkScene(
    double width, double height, double axis, List<Chuck> chucks, List<Mount> mounts) {

  public WorkScene {
    chucks = List.copyOf(chucks);
    mounts = List.copyOf(mounts);
  }

  /** A corner of something drawn. */
  public record ScenePoint(double x, double y) {}

  /**
   * A work spindle.
   *
   * @param name as people call it
   * @param body of its chuck
   * @param work that it holds
   */
  public record Chuck(String name, List<ScenePoint> body, List<ScenePoint> work) {}

  /**
   * How a tool stands at the work.
   *
   * @param storage id of the storage that it comes from
   * @param spindle name of the one whose work it cuts
   * @param along true where it points along the spindle, false across it
   * @param x of its tip
   * @param y of its tip
   * @param angle clockwise, degrees, from a tool that points to the right
   * @param body what holds it: points from its gauge line, x towards the tip, as the tool is turned
   * @param station the same where a block turned the tool: seen along the way its station faces
   * @param radius from the axis of the turret to the gauge line; null where nothing stands beside
   *     it
   * @param faces angle to which its station points, degrees as above: a tool that a block turned
   *     stands in it at an angle
   * @param lean by which lengths from the axis of the turret shrink for the stations beside it
   */
  public record Mount(
      String storage,
      String spindle,
      boolean along,
      double x,
      double y,
      double angle,
      List<ScenePoint> body,
      List<ScenePoint> station,
      @Nullable Double radius,
      double faces,
      double lean) {}
}
