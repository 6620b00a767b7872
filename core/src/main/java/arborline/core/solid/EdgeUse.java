package arborline.core.solid;

import arborline.core.solid.shape.Vector3;

/** An edge as a loop runs along it. */
record EdgeUse(Edge edge, boolean forward) {

  Vector3 at(double share) {
    return edge.at(forward ? share : 1 - share);
  }

  Vector3 tangent(double share) {
    return forward ? edge.tangent(share) : edge.tangent(1 - share).times(-1);
  }
}
