package arborline.core.part21;

import arborline.core.quantity.Conversion;
import arborline.core.quantity.Unit;
import arborline.core.quantity.UnitKind;
import java.math.BigDecimal;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/** Where the parts of assemblies stand along the axis. */
final class ItemPlaces {

  private static final int DEEPEST = 6;
  private static final int MOST_AROUND = 500;

  private final PropertyGraph graph;
  private final MeasureUnits units;
  private final Optional<MeasureUnit> only;

  ItemPlaces(PropertyGraph graph, MeasureUnits units) {
    this.graph = graph;
    this.units = units;
    this.only = only();
  }

  private record Step(int place, int depth) {}

  /** The position that a usage states, mm; empty where none is written. */
  Optional<BigDecimal> of(int usage) {
    Set<Integer> seen = new HashSet<>();
    List<Integer> around = walk(usage, seen);
    Optional<MeasureUnit> unit =
        around.stream()
            .filter(place -> graph.role(place) == StatementRole.CONTEXT)
            .flatMap(context -> graph.referred(context).stream())
            .flatMap(place -> units.of(graph.statement(place).id()).stream())
            .filter(one -> one.unit().kind() == UnitKind.LENGTH)
            .findFirst()
            .or(() -> only);
    Optional<BigDecimal> height =
        around.stream()
            .filter(place -> graph.statement(place).names().contains("TRANSFORMATION"))
            .flatMap(place -> between(place).stream())
            .findFirst()
            .or(() ->
                around.stream()
                    .filter(place -> graph.statement(place).names().contains("PLACEMENT"))
                    .flatMap(place -> height(place).stream())
                    .findFirst());
    return height.flatMap(z ->
        unit.map(one -> Conversion.convert(one.amount(z), one.unit(), Unit.MILLIMETRE).amount()));
  }

  /** Statements that a usage leads to, nearest first, without leaving for another item. */
  private List<Integer> walk(int usage, Set<Integer> seen) {
    List<Integer> around = new ArrayList<>();
    Deque<Step> open = new ArrayDeque<>();
    open.add(new Step(usage, 0));
    graph.referring(usage).forEach(place -> open.add(new Step(place, 1)));
    while (!open.isEmpty() && around.size() < MOST_AROUND) {
      Step at = open.poll();
      boolean leaves =
          graph.role(at.place()) == StatementRole.ITEM
              || at.place() != usage && graph.role(at.place()) == StatementRole.USAGE;
      if (leaves || at.depth() > DEEPEST || !seen.add(at.place())) {
        continue;
      }
      around.add(at.place());
      graph.referred(at.place()).forEach(next -> open.add(new Step(next, at.depth() + 1)));
      if (at.depth() == 1) {
        graph.referring(at.place()).forEach(next -> open.add(new Step(next, 2)));
      }
    }
    return around;
  }

  /** The length unit of the file, where it has just one. */
  private Optional<MeasureUnit> only() {
    List<MeasureUnit> lengths = new ArrayList<>();
    for (int i = 0; i < graph.size(); i++) {
      if (graph.role(i) != StatementRole.UNIT) {
        continue;
      }
      units
          .of(graph.statement(i).id())
          .filter(unit -> unit.unit().kind() == UnitKind.LENGTH && !lengths.contains(unit))
          .ifPresent(lengths::add);
    }
    return lengths.size() == 1 ? Optional.of(lengths.getFirst()) : Optional.empty();
  }

  private Optional<BigDecimal> between(int transformation) {
    List<BigDecimal> heights =
        graph.referred(transformation).stream().flatMap(place -> height(place).stream()).toList();
    return heights.size() == 2
        ? Optional.of(heights.get(1).subtract(heights.get(0)))
        : heights.stream().findFirst();
  }

  /** The third coordinate of the point of a placement. */
  private Optional<BigDecimal> height(int placement) {
    return graph.referred(placement).stream()
        .filter(place -> graph.statement(place).names().contains("CARTESIAN_POINT"))
        .map(place -> graph.statement(place).numbers())
        .filter(numbers -> numbers.size() > 2)
        .map(numbers -> numbers.get(2))
        .findFirst();
  }
}
