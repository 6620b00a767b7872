package arborline.core.solid;

import arborline.core.solid.shape.Axis;
import arborline.core.solid.shape.Closeness;
import java.util.List;

/**
 * Whether and how far faces that are not turned are cut into a part, mm from the workpiece end.
 *
 * @param to where the last of them ends that begins in the front half; 0 where there is none
 */
record FluteLength(double to) {

  static FluteLength of(List<Body> bodies, TurnedShape shape) {
    Axis axis = new Axis(shape.axis().point(), shape.axis().direction());
    double to = 0;
    for (Body body : bodies) {
      Axis local = Generators.local(body, axis);
      for (Face face : body.faces()) {
        if (face.surface().meridian(local, Closeness.AXES).isPresent()) {
          continue;
        }
        double from = Double.MAX_VALUE;
        double end = 0;
        for (EdgeUse use : face.edges()) {
          for (double share : new double[] {0, 0.5, 1}) {
            double z = local.z(use.at(share));
            from = Math.min(from, z);
            end = Math.max(end, z);
          }
        }
        if (from < shape.length() * 0.3) {
          to = Math.max(to, end);
        }
      }
    }
    return new FluteLength(to < shape.length() * 0.95 ? to : 0);
  }
}
