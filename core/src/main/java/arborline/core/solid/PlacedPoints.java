package arborline.core.solid;

import static arborline.core.solid.ShapeArguments.entity;
import static arborline.core.solid.ShapeArguments.real;
import static arborline.core.solid.ShapeArguments.statement;
import static arborline.core.solid.ShapeArguments.unusable;

import arborline.core.part21.Argument;
import arborline.core.part21.Entity;
import arborline.core.part21.InstanceMap;
import arborline.core.part21.Part21Document;
import arborline.core.part21.Statement;
import arborline.core.solid.shape.Axis;
import arborline.core.solid.shape.Placement;
import arborline.core.solid.shape.Vector3;
import java.util.List;

/** Points, directions and frames of a file, mm. Source: ISO 10303-42. */
final class PlacedPoints {

  private final Part21Document document;
  private final double millimetres;
  private final InstanceMap<Vector3> points;

  PlacedPoints(Part21Document document, double millimetres) {
    this.document = document;
    this.points = new InstanceMap<>(document);
    this.millimetres = millimetres;
  }

  Vector3 point(long id) {
    Vector3 known = points.get(id);
    if (known == null) {
      known = coordinates(id, "CARTESIAN_POINT", 1).times(millimetres);
      points.put(id, known);
    }
    return known;
  }

  Vector3 vertex(long id) {
    Statement vertex = statement(document, id);
    return point(entity(vertex, "VERTEX_POINT").reference(1));
  }

  private Vector3 coordinates(long id, String name, int at) {
    Statement statement = statement(document, id);
    Entity entity = entity(statement, name);
    List<Argument> list = entity.list(at);
    if (list.size() < 2 || list.size() > 3) {
      throw unusable(statement, "%d coordinates instead of 3".formatted(list.size()));
    }
    return new Vector3(
        real(statement, list.get(0)),
        real(statement, list.get(1)),
        list.size() == 3 ? real(statement, list.get(2)) : 0);
  }

  Vector3 direction(long id) {
    Vector3 direction = coordinates(id, "DIRECTION", 1);
    if (direction.length() < 1e-12) {
      throw unusable(statement(document, id), "a direction without length");
    }
    return direction.unit();
  }

  /** The direction and length of a vector, mm. */
  Vector3 vector(long id) {
    Statement statement = statement(document, id);
    Entity vector = entity(statement, "VECTOR");
    return direction(vector.reference(1)).times(real(statement, vector.at(2)) * millimetres);
  }

  Placement placement(long id) {
    Statement statement = statement(document, id);
    Entity frame = entity(statement, "AXIS2_PLACEMENT_3D");
    Vector3 axis = frame.reference(2) == 0 ? Vector3.Z : direction(frame.reference(2));
    Vector3 reference = frame.reference(3) == 0 ? Vector3.X : direction(frame.reference(3));
    return Placement.of(point(frame.reference(1)), axis, reference);
  }

  Axis axis(long id) {
    Statement statement = statement(document, id);
    Entity axis = entity(statement, "AXIS1_PLACEMENT");
    return new Axis(
        point(axis.reference(1)),
        axis.reference(2) == 0 ? Vector3.Z : direction(axis.reference(2)));
  }
}
