package arborline.server.physical;

import arborline.core.physical.PhysicalState;
import arborline.core.physical.Whereabouts;
import arborline.server.account.MayHandle;
import arborline.server.physical.PhysicalTools.PieceDone;
import arborline.server.support.Refusal;
import arborline.server.support.Slice;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Physical tools: real pieces, where they are, how they are, what was measured of them. */
@RestController
@RequestMapping("/api/v1/physical-tools")
class PhysicalToolController {

  private static final int MOST = 500;

  private final PhysicalTools pieces;
  private final PhysicalStore store;
  private final PhysicalViews views;
  private final Measuring measuring;
  private final PieceMeasurements measurements;
  private final AssembledParts parts;

  PhysicalToolController(
      PhysicalTools pieces,
      PhysicalStore store,
      PhysicalViews views,
      Measuring measuring,
      PieceMeasurements measurements,
      AssembledParts parts) {
    this.pieces = pieces;
    this.store = store;
    this.views = views;
    this.measuring = measuring;
    this.measurements = measurements;
    this.parts = parts;
  }

  /**
   * Physical tools by serial.
   *
   * @param q with which the serial begins
   * @param machine for which they are, or that has them
   * @param after serial of the last one before
   */
  @GetMapping
  Slice<PhysicalViews.PieceView> all(
      @RequestParam(required = false) @Nullable String q,
      @RequestParam(required = false) @Nullable PhysicalState state,
      @RequestParam(required = false) Whereabouts.@Nullable Kind where,
      @RequestParam(required = false) @Nullable String machine,
      @RequestParam(required = false) @Nullable Long toolId,
      @RequestParam(defaultValue = "") String after,
      @RequestParam(defaultValue = "200") int limit) {
    int most = Math.clamp(limit, 1, MOST);
    Slice<PhysicalTool> found =
        Slice.cut(
            store.list(
                new PhysicalQuery(q, state, where, machine, toolId),
                PhysicalQuery.ascii(after),
                most + 1),
            most,
            PhysicalTool::serial);
    return new Slice<>(views.of(found.items()), found.next());
  }

  @GetMapping("/{id}")
  PhysicalViews.PieceView one(@PathVariable long id) {
    return view(pieces.get(id));
  }

  private PhysicalViews.PieceView view(PhysicalTool piece) {
    return views.of(List.of(piece)).stream()
        .findFirst()
        .orElseThrow(() -> Refusal.notFound("its tool is gone"));
  }

  /** The piece whose label says so. */
  @GetMapping("/labelled/{serial}")
  PhysicalViews.PieceView labelled(@PathVariable String serial) {
    return pieces
        .bySerial(serial)
        .map(this::view)
        .orElseThrow(() ->
            Refusal.notFound(
                "no physical tool has the label '%s': scan it again, or type what stands on it"
                    .formatted(serial)));
  }

  /**
   * A piece to be made.
   *
   * @param serial null for the next free one of its tool
   * @param machine for which it is; null for none
   */
  record NewPiece(@Nullable Long toolId, @Nullable String serial, @Nullable String machine) {}

  @PostMapping
  @MayHandle
  @ResponseStatus(HttpStatus.CREATED)
  PieceDone make(@RequestBody NewPiece order) {
    if (order.toolId() == null) {
      throw Refusal.badRequest("toolId: say of which tool it is a piece");
    }
    return pieces.make(order.toolId(), order.serial(), order.machine());
  }

  @DeleteMapping("/{id}")
  @MayHandle
  PieceDone delete(@PathVariable long id, @RequestParam int version) {
    return pieces.delete(id, version);
  }

  /**
   * What a piece is put together of, from the gauge line on, the cutter last.
   *
   * @param machine for which; null for the one that it is for
   */
  @GetMapping("/{id}/parts")
  AssembledParts.PartsToAssemble parts(
      @PathVariable long id, @RequestParam(required = false) @Nullable String machine) {
    PhysicalTool piece = pieces.get(id);
    return parts.of(piece.toolId(), machine == null ? piece.forMachine() : machine);
  }

  /** Puts a piece together, or takes it apart. */
  @PutMapping("/{id}/assembly")
  @MayHandle
  PieceDone assemble(
      @PathVariable long id, @RequestParam int version, @RequestBody AssemblyOrder order) {
    return pieces.assemble(id, version, order);
  }

  /** How a piece is from now on. */
  record StateOrder(@Nullable PhysicalState state) {}

  @PutMapping("/{id}/state")
  @MayHandle
  PieceDone become(
      @PathVariable long id, @RequestParam int version, @RequestBody StateOrder order) {
    if (order.state() == null) {
      throw Refusal.badRequest("state: say how it is");
    }
    return pieces.become(id, version, order.state());
  }

  /**
   * Where a piece is from now on.
   *
   * @param machine that has it; null where none has
   * @param place of its storage; null where it is in none
   */
  record WhereOrder(
      Whereabouts.@Nullable Kind kind, @Nullable String machine, @Nullable String place) {}

  @PutMapping("/{id}/whereabouts")
  @MayHandle
  PieceDone carry(@PathVariable long id, @RequestParam int version, @RequestBody WhereOrder order) {
    if (order.kind() == null) {
      throw Refusal.badRequest("kind: say where it is");
    }
    return pieces.carry(id, version, where(order));
  }

  private static Whereabouts where(WhereOrder order) {
    try {
      return new Whereabouts(
          order.kind(), Optional.ofNullable(order.machine()), Optional.ofNullable(order.place()));
    } catch (IllegalArgumentException wrong) {
      throw Refusal.badRequest(wrong.getMessage());
    }
  }

  /** A work material that a piece has cut. */
  record CutOrder(@Nullable String material) {}

  @PostMapping("/{id}/cuts")
  @MayHandle
  PieceDone cut(@PathVariable long id, @RequestBody CutOrder order) {
    if (order.material() == null) {
      throw Refusal.badRequest("material: say what it has cut");
    }
    return pieces.cut(id, order.material());
  }

  /** Judges sizes and keeps them, where none of them needs an answer first. */
  @PostMapping("/{id}/measurements")
  @MayHandle
  Measuring.MeasurementDone measure(@PathVariable long id, @RequestBody MeasurementOrder order) {
    return measuring.measure(id, order);
  }

  /**
   * A size as it was measured.
   *
   * @param size mm
   * @param nominal mm; null where nothing said it
   * @param although what was suspected of it and answered; empty where nothing was
   */
  record MeasurementView(
      String field,
      String title,
      String size,
      @Nullable String nominal,
      String entered,
      Gauge gauge,
      Instant at,
      String by,
      String although) {}

  /** What was measured of a piece, the newest first. */
  @GetMapping("/{id}/measurements")
  Slice<MeasurementView> measured(@PathVariable long id) {
    return Slice.all(
        measurements.of(pieces.get(id).id()).stream()
            .map(one ->
                new MeasurementView(
                    one.field().key(),
                    one.field().title(),
                    one.size().toPlainString(),
                    one.nominal() == null ? null : one.nominal().toPlainString(),
                    one.entered(),
                    one.gauge(),
                    one.at(),
                    one.by(),
                    one.although()))
            .toList());
  }
}
