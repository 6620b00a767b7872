package arborline.server.physical;

import arborline.core.cutting.WorkMaterial;
import arborline.core.physical.PhysicalState;
import arborline.core.physical.Serials;
import arborline.core.physical.Whereabouts;
import arborline.server.account.Actor;
import arborline.server.cutting.Materials;
import arborline.server.live.Live;
import arborline.server.machine.Machines;
import arborline.server.machine.PlannedPieces;
import arborline.server.right.ToolGuard;
import arborline.server.support.Json;
import arborline.server.support.Refusal;
import arborline.server.tool.Tools;
import arborline.server.trail.Trail;
import arborline.server.trail.TrailRecord;
import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.dao.DuplicateKeyException;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Physical tools: made, assembled, carried, worn, taken out of use. */
@Service
class PhysicalTools {

  private final PhysicalStore store;
  private final Tools tools;
  private final Machines machines;
  private final Materials materials;
  private final PlannedPieces planned;
  private final PieceMeasurements measurements;
  private final AssembledParts parts;
  private final ToolGuard seeing;
  private final Trail trail;
  private final Live live;
  private final Json json;
  private final Clock clock;

  PhysicalTools(
      PhysicalStore store,
      Tools tools,
      Machines machines,
      Materials materials,
      PlannedPieces planned,
      PieceMeasurements measurements,
      AssembledParts parts,
      ToolGuard seeing,
      Trail trail,
      Live live,
      Json json,
      Clock clock) {
    this.store = store;
    this.tools = tools;
    this.machines = machines;
    this.materials = materials;
    this.planned = planned;
    this.measurements = measurements;
    this.parts = parts;
    this.seeing = seeing;
    this.trail = trail;
    this.live = live;
    this.json = json;
    this.clock = clock;
  }

  /**
   * What was done.
   *
   * @param questions what to look at, in sentences
   */
  record PieceDone(long id, String serial, int version, long undo, List<String> questions) {}

  @Transactional(readOnly = true)
  PhysicalTool get(long id) {
    return there(store.get(id), id);
  }

  @Transactional(readOnly = true)
  Optional<PhysicalTool> bySerial(String serial) {
    return store.bySerial(PhysicalQuery.ascii(Serials.key(serial)));
  }

  PhysicalTool lock(long id) {
    return there(store.lock(id), id);
  }

  private static PhysicalTool there(Optional<PhysicalTool> piece, long id) {
    return piece.orElseThrow(() -> Refusal.notFound("there is no physical tool " + id));
  }

  /**
   * Makes a piece of a tool, not assembled yet, in the crib.
   *
   * @param serial null for the next free one of the tool
   * @param forMachine null for none
   */
  @Transactional
  PieceDone make(long toolId, @Nullable String serial, @Nullable String forMachine) {
    store.lockTool(toolId);
    seeing.needSight(List.of(toolId));
    String code = tools.get(toolId).tool().code();
    if (forMachine != null) {
      machines.get(forMachine);
    }
    String key =
        serial == null || serial.isBlank()
            ? Serials.next(code, store.serials(Serials.stem(code)))
            : Serials.key(serial);
    Serials.refusal(key)
        .ifPresent(why -> {
          throw Refusal.badRequest("serial '%s': %s".formatted(serial, why));
        });
    PhysicalTool piece =
        new PhysicalTool(
            0,
            key,
            toolId,
            forMachine,
            PhysicalState.NEW,
            Whereabouts.CRIB,
            null,
            null,
            List.of(),
            0,
            1);
    long id;
    try {
      id = store.insert(piece, Instant.now(clock), Actor.name());
    } catch (DuplicateKeyException taken) {
      throw Refusal.conflict(
          "there is a physical tool %s already, or was one; a serial is never given twice"
              .formatted(key));
    }
    live.say("physical", id, "made");
    long undo =
        trail.record(
            TrailRecord.of("physical", id, "made %s, a piece of %s".formatted(key, code))
                .undoneBy(
                    PhysicalUndo.KIND, new PhysicalUndo.Changed(id, null, 1, null, null, null)));
    return new PieceDone(id, key, 1, undo, List.of());
  }

  /** Puts a piece together for a machine, or takes it apart. */
  @Transactional
  PieceDone assemble(long id, int version, AssemblyOrder order) {
    PhysicalTool before = unchanged(id, version);
    if (!Boolean.TRUE.equals(order.assembled())) {
      refuseInMachine(before, "taken apart");
      PhysicalTool apart = before.assembled(before.forMachine(), null, null, List.of());
      return done(before, apart, "took %s apart".formatted(before.serial()), List.of());
    }
    if (!before.state().usable()) {
      throw Refusal.conflict(
          "%s is %s and is not put together; say that it was ground again, or take another one"
              .formatted(before.serial(), before.state().words()));
    }
    refuseInMachine(before, "put together anew");
    String machine = order.machine() == null ? before.forMachine() : order.machine();
    if (machine != null) {
      machines.get(machine);
    }
    AssembledParts.PartsToAssemble known = parts.of(before.toolId(), machine);
    List<String> scanned = known.checked(order.scanned());
    PhysicalTool now = before.assembled(machine, Instant.now(clock), Actor.name(), scanned);
    return done(before, now, "put %s together".formatted(before.serial()), known.questions());
  }

  private void refuseInMachine(PhysicalTool piece, String done) {
    if (piece.where().inMachine()) {
      throw Refusal.conflict(
          "%s is in %s and cannot be %s there; fetch it first"
              .formatted(piece.serial(), words(piece.where()), done));
    }
  }

  /** Says where a piece is. */
  @Transactional
  PieceDone carry(long id, int version, Whereabouts there) {
    PhysicalTool before = unchanged(id, version);
    if (there.inMachine()) {
      refuseNotReady(before);
      refuseNoPlace(there);
    }
    Followed followed = follow(before, there);
    return done(
        before,
        before.at(there),
        "%s is now in %s".formatted(before.serial(), words(there)),
        null,
        followed);
  }

  /** What the plan made of a piece that was carried. */
  private record Followed(
      List<String> questions, PlannedPieces.@Nullable At given, @Nullable String planned) {

    static Followed asking(String... questions) {
      return new Followed(List.of(questions), null, null);
    }
  }

  private void refuseNotReady(PhysicalTool piece) {
    if (!piece.assembled()) {
      throw Refusal.conflict("%s is not put together: assemble it first".formatted(piece.serial()));
    }
    if (!piece.state().usable()) {
      throw Refusal.conflict(
          "%s is %s: it does not go into a machine"
              .formatted(piece.serial(), piece.state().words()));
    }
  }

  private void refuseNoPlace(Whereabouts there) {
    var machine = machines.get(there.machine().orElseThrow()).machine();
    there
        .place()
        .filter(place -> !machine.hasPlace(place))
        .ifPresent(place -> {
          throw Refusal.badRequest("%s has no place '%s'".formatted(machine.name(), place));
        });
  }

  /** The plan follows a piece that is put into the place that waits for one of its tool. */
  private Followed follow(PhysicalTool piece, Whereabouts there) {
    if (there.kind() != Whereabouts.Kind.PLACE) {
      return Followed.asking();
    }
    String machine = there.machine().orElseThrow();
    Optional<PlannedPieces.At> already = planned.of(machine, piece.serial());
    if (already.isPresent()) {
      return already.get().place().equals(there.place().orElseThrow())
          ? Followed.asking()
          : Followed.asking(
              "%s is planned for %s: carry it there, or plan it where it is"
                  .formatted(piece.serial(), already.get().words()));
    }
    Optional<PlannedPieces.At> waiting = planned.waiting(machine, piece.toolId(), there.place());
    if (waiting.isEmpty()) {
      return Followed.asking(
          "the plan has no %s waiting there: compare the machine with its control"
              .formatted(tools.get(piece.toolId()).tool().code()));
    }
    return planned
        .give(waiting.get(), piece.serial(), measurements.sizes(piece))
        .map(before -> new Followed(List.of(), waiting.get(), before))
        .orElseGet(Followed::asking);
  }

  String words(Whereabouts where) {
    if (where.machine().isEmpty()) {
      return Whereabouts.words(where.kind());
    }
    var machine = machines.get(where.machine().get()).machine();
    return where
        .place()
        .map(place -> "%s of %s".formatted(machine.words(place), machine.name()))
        .orElseGet(() -> "the spindle of " + machine.name());
  }

  /** Says how a piece is. */
  @Transactional
  PieceDone become(long id, int version, PhysicalState next) {
    PhysicalTool before = unchanged(id, version);
    if (!before.state().mayBecome(next)) {
      throw Refusal.conflict(
          next == PhysicalState.NEW
              ? "%s was used and is not new again".formatted(before.serial())
              : "%s is %s and does not become %s by itself"
                  .formatted(before.serial(), before.state().words(), next.words()));
    }
    if (next == PhysicalState.REGROUND) {
      refuseInMachine(before, "ground again");
    }
    return done(
        before,
        before.in(next),
        "%s is %s, it was %s".formatted(before.serial(), next.words(), before.state().words()),
        List.of());
  }

  /** Notes that a piece has cut a material. */
  @Transactional
  PieceDone cut(long id, String materialId) {
    PhysicalTool before = lock(id);
    WorkMaterial material = materials.named(materialId);
    if (!store.cut(id, material.id(), Instant.now(clock), Actor.name())) {
      throw Refusal.conflict(
          "that %s has cut %s is noted already".formatted(before.serial(), material.name()));
    }
    PhysicalTool now =
        before.state() == PhysicalState.NEW ? before.in(PhysicalState.IN_USE) : before;
    return done(
        before,
        now,
        "%s has cut %s".formatted(before.serial(), material.name()),
        material.id(),
        Followed.asking());
  }

  /** Takes a piece out of the books; one that a machine has stays. */
  @Transactional
  PieceDone delete(long id, int version) {
    PhysicalTool before = unchanged(id, version);
    if (before.where().inMachine()) {
      throw Refusal.conflict(
          "%s is in %s: fetch it, or say that it is lost, before it is deleted"
              .formatted(before.serial(), words(before.where())));
    }
    store.delete(id, Instant.now(clock));
    live.say("physical", id, "deleted");
    long undo =
        trail.record(
            TrailRecord.of("physical", id, "deleted " + before.serial())
                .undoneBy(
                    PhysicalUndo.KIND,
                    new PhysicalUndo.Changed(
                        id, json.text(before), before.version() + 1, null, null, null)));
    return new PieceDone(id, before.serial(), before.version() + 1, undo, List.of());
  }

  private PhysicalTool unchanged(long id, int version) {
    PhysicalTool now = lock(id);
    if (now.version() != version) {
      throw Refusal.conflict(
          "somebody changed %s meanwhile; look at it as it is now".formatted(now.serial()));
    }
    return now;
  }

  private PieceDone done(
      PhysicalTool before, PhysicalTool now, String text, List<String> questions) {
    return done(before, now, text, null, new Followed(questions, null, null));
  }

  private PieceDone done(
      PhysicalTool before, PhysicalTool now, String text, @Nullable String cut, Followed followed) {
    try {
      store.update(now);
    } catch (DuplicateKeyException taken) {
      Whereabouts there = now.where();
      String other =
          store
              .standing(there.machine().orElseThrow(), there.place().orElse(""))
              .map(PhysicalTool::serial)
              .orElse("another one");
      throw Refusal.conflict(
          "%s stands in %s already: fetch it first, or say where it is"
              .formatted(other, words(there)));
    }
    live.say("physical", before.id(), "changed");
    int version = before.version() + 1;
    long undo =
        trail.record(
            TrailRecord.of("physical", before.id(), text)
                .undoneBy(
                    PhysicalUndo.KIND,
                    new PhysicalUndo.Changed(
                        before.id(),
                        json.text(before),
                        version,
                        cut,
                        followed.given(),
                        followed.planned())));
    return new PieceDone(before.id(), before.serial(), version, undo, followed.questions());
  }
}
