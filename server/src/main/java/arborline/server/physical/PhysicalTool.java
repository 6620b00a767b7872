package arborline.server.physical;

import arborline.core.physical.PhysicalState;
import arborline.core.physical.Whereabouts;
import java.time.Instant;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * A real piece of a tool.
 *
 * @param serial what stands on its label
 * @param forMachine for which it is assembled; null for none
 * @param assembledAt null while it is not put together
 * @param parts what was put together: codes from the gauge line on
 * @param version of this record; grows with every change
 */
record PhysicalTool(
    long id,
    String serial,
    long toolId,
    @Nullable String forMachine,
    PhysicalState state,
    Whereabouts where,
    @Nullable Instant assembledAt,
    @Nullable String assembledBy,
    List<String> parts,
    int regrinds,
    int version) {

  boolean assembled() {
    return assembledAt != null;
  }

  PhysicalTool at(Whereabouts there) {
    return new PhysicalTool(
        id,
        serial,
        toolId,
        forMachine,
        state,
        there,
        assembledAt,
        assembledBy,
        parts,
        regrinds,
        version);
  }

  /** The same in another state; a regrind is counted. */
  PhysicalTool in(PhysicalState next) {
    int ground = next == PhysicalState.REGROUND ? regrinds + 1 : regrinds;
    return new PhysicalTool(
        id,
        serial,
        toolId,
        forMachine,
        next,
        where,
        assembledAt,
        assembledBy,
        parts,
        ground,
        version);
  }

  /** The same, put together of these parts for a machine; null parts take it apart. */
  PhysicalTool assembled(
      @Nullable String machine, @Nullable Instant at, @Nullable String by, List<String> of) {
    return new PhysicalTool(
        id, serial, toolId, machine, state, where, at, by, of, regrinds, version);
  }
}
