package arborline.core.solid;

import arborline.core.part21.Argument;
import arborline.core.part21.Entity;
import arborline.core.part21.MeasureUnit;
import arborline.core.part21.MeasureUnits;
import arborline.core.part21.Part21Document;
import arborline.core.quantity.Unit;
import java.math.BigDecimal;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** The units of each representation's context. Source: ISO 10303-41 and -43. */
final class ShapeContexts {

  private static final double MILLIMETRES_OF_INCH = 25.4;
  private static final BigDecimal MILLIMETRES_OF_METRE = BigDecimal.valueOf(1000);
  private static final double NEARLY = 1e-9;

  private final Part21Document document;
  private final MeasureUnits units;
  private final Map<Long, ShapeUnits> known = new HashMap<>();

  ShapeContexts(Part21Document document) {
    this.document = document;
    this.units = new MeasureUnits(document);
  }

  ShapeUnits of(long context) {
    return known.computeIfAbsent(context, this::read);
  }

  private ShapeUnits read(long context) {
    Optional<Entity> assigned =
        document
            .instance(context)
            .flatMap(statement -> statement.entity("GLOBAL_UNIT_ASSIGNED_CONTEXT"));
    ShapeUnits found = ShapeUnits.MILLIMETRES;
    for (Argument argument : assigned.map(entity -> entity.list(0)).orElse(List.of())) {
      Optional<MeasureUnit> unit =
          argument instanceof Argument.Reference reference
              ? units.of(reference.id())
              : Optional.empty();
      found = unit.isPresent() ? with(found, unit.get()) : found;
    }
    return found;
  }

  private static ShapeUnits with(ShapeUnits before, MeasureUnit unit) {
    double factor = unit.factor().doubleValue();
    return switch (unit.unit()) {
      case MILLIMETRE -> before.withLength(name(unit.factor()), factor);
      case INCH -> before.withLength(Unit.INCH.code(), factor * MILLIMETRES_OF_INCH);
      case DEGREE -> before.withAngle(radians(factor));
      default -> before;
    };
  }

  private static String name(BigDecimal millimetres) {
    if (millimetres.compareTo(BigDecimal.ONE) == 0) {
      return Unit.MILLIMETRE.code();
    }
    return millimetres.compareTo(MILLIMETRES_OF_METRE) == 0
        ? Unit.METRE.code()
        : millimetres.stripTrailingZeros().toPlainString() + " mm";
  }

  private static double radians(double degrees) {
    double radians = Math.toRadians(degrees);
    return Math.abs(radians - 1) < NEARLY ? 1 : radians;
  }
}
