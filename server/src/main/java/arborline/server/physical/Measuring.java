package arborline.server.physical;

import arborline.core.measure.EnteredBefore;
import arborline.core.measure.MeasuredRow;
import arborline.core.measure.MeasuredSize;
import arborline.core.measure.Measurement;
import arborline.core.measure.MeasurementJudge;
import arborline.core.measure.MeasurementVerdict;
import arborline.core.measure.MeasurementWords;
import arborline.core.measure.SinceMeasured;
import arborline.core.measure.Suspicion;
import arborline.core.quantity.Conversion;
import arborline.core.quantity.Entry;
import arborline.core.quantity.EntryParser;
import arborline.core.quantity.Unit;
import arborline.core.table.TableField;
import arborline.server.account.Actor;
import arborline.server.live.Live;
import arborline.server.machine.PieceSizes;
import arborline.server.machine.PlannedPieces;
import arborline.server.support.Refusal;
import arborline.server.trail.Trail;
import arborline.server.trail.TrailRecord;
import java.math.BigDecimal;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Sizes of pieces as they are measured: each is judged before it goes anywhere. */
@Service
class Measuring {

  private static final Duration SITTING = Duration.ofHours(8);
  private static final int LONGEST_ENTRY = 40;
  private static final BigDecimal LONGEST = new BigDecimal("10000");
  private static final int MOST_DECIMALS = 9;

  private final PhysicalTools pieces;
  private final PieceNeighbours neighbours;
  private final PieceMeasurements measurements;
  private final PlannedPieces planned;
  private final Trail trail;
  private final Live live;
  private final Clock clock;

  Measuring(
      PhysicalTools pieces,
      PieceNeighbours neighbours,
      PieceMeasurements measurements,
      PlannedPieces planned,
      Trail trail,
      Live live,
      Clock clock) {
    this.pieces = pieces;
    this.neighbours = neighbours;
    this.measurements = measurements;
    this.planned = planned;
    this.trail = trail;
    this.live = live;
    this.clock = clock;
  }

  /**
   * What is to be said of a size.
   *
   * @param value what was entered means, in the unit of the machine
   * @param suspected what may have gone wrong, {@code slipped-decimal}; null where it is plausible
   * @param proposal what it probably should be; null where that is not known
   * @param answerable false where it is nothing that can be, whoever says so
   */
  record SizeVerdict(
      String field,
      String title,
      String value,
      String unit,
      @Nullable String suspected,
      @Nullable String proposal,
      boolean answerable,
      String words) {}

  /**
   * What became of sizes.
   *
   * @param saved false where one of them needs an answer first: nothing was kept then
   * @param planned place whose plan has them now, in words; null where none has
   */
  record MeasurementDone(boolean saved, List<SizeVerdict> sizes, @Nullable String planned) {}

  private record Judged(TableField field, BigDecimal mm, String entered, SizeVerdict verdict) {}

  @Transactional
  MeasurementDone measure(long id, MeasurementOrder order) {
    PhysicalTool piece = pieces.lock(id);
    refuseNotReady(piece);
    if (order.gauge() == null) {
      throw Refusal.badRequest("gauge: say with what it was measured");
    }
    Map<String, String> entered = order.sizes() == null ? Map.of() : order.sizes();
    if (entered.isEmpty()) {
      throw Refusal.badRequest("sizes: nothing was measured");
    }
    PieceNeighbours.Row row = neighbours.of(piece);
    List<Judged> judged = new ArrayList<>();
    for (Map.Entry<String, String> size : entered.entrySet()) {
      judged.add(judged(piece, row, size.getKey(), size.getValue()));
    }
    Map<String, String> although = order.although() == null ? Map.of() : order.although();
    List<SizeVerdict> verdicts = judged.stream().map(Judged::verdict).toList();
    if (!verdicts.stream().allMatch(verdict -> answered(verdict, although))) {
      return new MeasurementDone(false, verdicts, null);
    }
    judged.forEach(one -> keep(piece, row, one, order.gauge()));
    String sizes =
        verdicts.stream()
            .map(one -> "%s %s %s".formatted(one.title(), one.value(), one.unit()))
            .collect(Collectors.joining(", "));
    trail.record(
        TrailRecord.of(
            "physical",
            id,
            "measured %s with %s: %s".formatted(piece.serial(), order.gauge().words(), sizes)));
    live.say("physical", id, "measured");
    return new MeasurementDone(true, verdicts, follow(piece));
  }

  private static void refuseNotReady(PhysicalTool piece) {
    if (!piece.assembled()) {
      throw Refusal.conflict(
          "%s is not put together: what is measured now is not what goes into the machine"
              .formatted(piece.serial()));
    }
    if (!piece.state().usable()) {
      throw Refusal.conflict(
          "%s is %s: take another one, or say first what became of it"
              .formatted(piece.serial(), piece.state().words()));
    }
  }

  private static boolean answered(SizeVerdict verdict, Map<String, String> although) {
    return verdict.suspected() == null
        || verdict.answerable() && verdict.suspected().equals(although.get(verdict.field()));
  }

  private Judged judged(
      PhysicalTool piece, PieceNeighbours.Row row, String name, @Nullable String typed) {
    PieceSizes.Size size =
        row.sizes()
            .named(name)
            .orElseThrow(() ->
                Refusal.badRequest(
                    "sizes: '%s' is not measured of %s; it has %s"
                        .formatted(name, piece.serial(), row.names())));
    if (typed == null || typed.isBlank() || typed.length() > LONGEST_ENTRY) {
      throw Refusal.badRequest(
          "%s: 1 to %d characters, such as 120.35".formatted(name, LONGEST_ENTRY));
    }
    Judged judged = size.signed() ? point(row, size, typed) : length(piece, row, size, typed);
    BigDecimal mm = judged.mm().stripTrailingZeros();
    if (mm.abs().compareTo(LONGEST) >= 0 || mm.scale() > MOST_DECIMALS) {
      throw Refusal.badRequest(
          "%s '%s' is no size of a tool: write less than 10 m, with at most %d decimals"
              .formatted(size.field().title(), typed, MOST_DECIMALS));
    }
    return judged;
  }

  /** X and Z may lie on either side of zero; they are held against what is possible. */
  private Judged point(PieceNeighbours.Row row, PieceSizes.Size size, String typed) {
    Unit unit = row.sizes().unit();
    BigDecimal mm = understood(size, typed, unit);
    Optional<String> question = row.sizes().nominal().question(size.field(), mm);
    return new Judged(
        size.field(),
        mm,
        typed,
        new SizeVerdict(
            size.field().key(),
            size.field().title(),
            shown(mm, unit),
            unit.code(),
            question.isPresent() ? Suspicion.OUT_OF_TOLERANCE.code() : null,
            null,
            true,
            question.orElse("can be")));
  }

  private static BigDecimal understood(PieceSizes.Size size, String typed, Unit unit) {
    return switch (EntryParser.parse(typed, unit)) {
      case Entry.Refused refused ->
          throw Refusal.badRequest(
              "%s '%s': %s; %s"
                  .formatted(size.field().title(), typed, refused.reason(), refused.remedy()));
      case Entry.Understood understood -> understood.quantity().in(Unit.MILLIMETRE);
    };
  }

  /**
   * A length or a width against what its stack and sheet say; where they do not say how long it is,
   * against what such a tool can be in any usual holder.
   */
  private Judged length(
      PhysicalTool piece, PieceNeighbours.Row row, PieceSizes.Size size, String typed) {
    Unit unit = row.sizes().unit();
    Measurement measurement =
        new Measurement(
            unit,
            row.sizes().decimals(),
            kind(size.field()),
            row(piece, row, size),
            neighbours.beside(piece, row, size.field()),
            before(piece, size.field(), unit),
            typed);
    MeasurementVerdict verdict =
        MeasurementJudge.verdict(measurement)
            .orElseThrow(() ->
                Refusal.badRequest(
                    "%s '%s' is no length: write a number such as 120.35"
                        .formatted(size.field().title(), typed)));
    boolean possible = verdict.value().signum() > 0;
    BigDecimal mm = Conversion.convert(verdict.value(), unit, Unit.MILLIMETRE).amount();
    Optional<String> unlikely =
        verdict.accepted() && size.nominal().isEmpty()
            ? row.sizes().nominal().question(size.field(), mm)
            : Optional.empty();
    return new Judged(
        size.field(),
        mm,
        typed,
        new SizeVerdict(
            size.field().key(),
            size.field().title(),
            verdict.value().stripTrailingZeros().toPlainString(),
            unit.code(),
            verdict
                .suspicion()
                .or(() -> unlikely.map(question -> Suspicion.OUT_OF_TOLERANCE))
                .map(Suspicion::code)
                .orElse(null),
            verdict.proposal().map(BigDecimal::toPlainString).orElse(null),
            possible,
            unlikely.orElseGet(() -> MeasurementWords.sentence(measurement, verdict))));
  }

  private MeasuredRow row(PhysicalTool piece, PieceNeighbours.Row row, PieceSizes.Size size) {
    Unit unit = row.sizes().unit();
    Optional<PieceMeasurement> last = Optional.ofNullable(row.last().get(size.field()));
    return new MeasuredRow(
        piece.serial(),
        piece.serial(),
        size.nominal().map(nominal -> in(nominal, unit)),
        Optional.empty(),
        last.map(measured -> in(measured.size(), unit)),
        since(piece, size, last));
  }

  private static SinceMeasured since(
      PhysicalTool piece, PieceSizes.Size size, Optional<PieceMeasurement> last) {
    if (last.filter(measured -> measured.regrinds() != piece.regrinds()).isPresent()
        || last.isEmpty() && piece.regrinds() > 0) {
      return SinceMeasured.REGROUND;
    }
    boolean other =
        last.map(PieceMeasurement::nominal)
            .filter(nominal -> size.nominal().filter(now -> now.compareTo(nominal) == 0).isEmpty())
            .isPresent();
    return other ? SinceMeasured.STACK_CHANGED : SinceMeasured.NOTHING;
  }

  private List<EnteredBefore> before(PhysicalTool piece, TableField field, Unit unit) {
    return measurements
        .justBefore(Actor.name(), field, piece.id(), Instant.now(clock).minus(SITTING))
        .map(measured ->
            new EnteredBefore("piece " + measured.pieceId(), shown(measured.size(), unit)))
        .stream()
        .toList();
  }

  private static MeasuredSize kind(TableField field) {
    if (field.equals(TableField.DIAMETER)) {
      return MeasuredSize.DIAMETER;
    }
    return field.equals(TableField.NOSE_RADIUS) ? MeasuredSize.RADIUS : MeasuredSize.LENGTH;
  }

  private static BigDecimal in(BigDecimal mm, Unit unit) {
    return Conversion.convert(mm, Unit.MILLIMETRE, unit).amount();
  }

  private static String shown(BigDecimal mm, Unit unit) {
    return in(mm, unit).stripTrailingZeros().toPlainString();
  }

  private void keep(PhysicalTool piece, PieceNeighbours.Row row, Judged judged, Gauge gauge) {
    String suspected = judged.verdict().suspected();
    measurements.add(
        new PieceMeasurement(
            piece.id(),
            judged.field(),
            judged.mm(),
            row.sizes().named(judged.field().key()).flatMap(PieceSizes.Size::nominal).orElse(null),
            judged.entered(),
            gauge,
            Instant.now(clock),
            Actor.name(),
            piece.regrinds(),
            suspected == null ? "" : suspected));
  }

  /** The plan has what was measured, where the piece is planned. */
  private @Nullable String follow(PhysicalTool piece) {
    String machine = piece.where().machine().orElse(piece.forMachine());
    if (machine == null) {
      return null;
    }
    Optional<PlannedPieces.At> at = planned.of(machine, piece.serial());
    at.ifPresent(place -> planned.give(place, piece.serial(), measurements.sizes(piece)));
    return at.map(place -> "%s of %s".formatted(place.words(), place.machine())).orElse(null);
  }
}
