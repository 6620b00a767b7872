package arborline.server.physical;

import arborline.core.measure.MeasuredRow;
import arborline.core.measure.SinceMeasured;
import arborline.core.quantity.Conversion;
import arborline.core.quantity.Unit;
import arborline.core.table.TableField;
import arborline.core.tool.Tool;
import arborline.server.machine.PieceSizes;
import arborline.server.tool.Tools;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/** A piece beside the others of its machine: what each should measure. */
@Component
class PieceNeighbours {

  private static final int MOST = 200;

  private final PhysicalStore store;
  private final Tools tools;
  private final PieceSizes sizes;
  private final PieceMeasurements measurements;

  PieceNeighbours(
      PhysicalStore store, Tools tools, PieceSizes sizes, PieceMeasurements measurements) {
    this.store = store;
    this.tools = tools;
    this.sizes = sizes;
    this.measurements = measurements;
  }

  /**
   * What is to be measured of a piece.
   *
   * @param last what was measured last, by field
   * @param others the same of the other pieces of its machine, by piece
   */
  record Row(
      PieceSizes.Sizes sizes,
      Map<TableField, PieceMeasurement> last,
      Map<PhysicalTool, PieceSizes.Sizes> others) {

    String names() {
      return sizes.sizes().stream()
          .map(size -> size.field().key())
          .collect(Collectors.joining(", "));
    }
  }

  Row of(PhysicalTool piece) {
    List<PhysicalTool> beside =
        piece.forMachine() == null
            ? List.of()
            : store.list(new PhysicalQuery(null, null, null, piece.forMachine(), null), "", MOST);
    Set<Long> ids = beside.stream().map(PhysicalTool::toolId).collect(Collectors.toSet());
    ids.add(piece.toolId());
    Map<Long, Tool> known = new HashMap<>();
    tools.current(ids).forEach((id, tool) -> known.put(id, tool.tool()));
    Map<Long, PieceSizes.Sizes> all = sizes.of(piece.forMachine(), known);
    Map<PhysicalTool, PieceSizes.Sizes> others = new HashMap<>();
    beside.stream()
        .filter(other -> other.id() != piece.id() && all.containsKey(other.toolId()))
        .forEach(other -> others.put(other, all.get(other.toolId())));
    return new Row(
        all.get(piece.toolId()),
        measurements.last(List.of(piece.id())).getOrDefault(piece.id(), Map.of()),
        others);
  }

  /** The rows beside a piece, of one size. */
  List<MeasuredRow> beside(PhysicalTool piece, Row row, TableField field) {
    Unit unit = row.sizes().unit();
    return row.others().entrySet().stream()
        .map(other ->
            new MeasuredRow(
                other.getKey().serial(),
                other.getKey().serial(),
                other
                    .getValue()
                    .named(field.key())
                    .flatMap(PieceSizes.Size::nominal)
                    .map(mm -> Conversion.convert(mm, Unit.MILLIMETRE, unit).amount()),
                Optional.empty(),
                Optional.empty(),
                SinceMeasured.NOTHING))
        .toList();
  }
}
