package arborline.core.machine;

import arborline.core.storage.StorageForm;
import arborline.core.storage.ToolBody;
import arborline.core.storage.ToolCorner;
import arborline.core.tool.Completed;
import arborline.core.tool.Tool;
import java.math.BigDecimal;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * A tool as it is put into a place.
 *
 * @param assembly with its holder; empty where no stack is kept for it
 * @param retired codes of parts of its stack that were taken out of use
 * @param overlap places that it covers; empty where its diameter says that
 */
public record Loaded(
    Tool tool, Optional<Assembly> assembly, List<String> retired, Optional<Overlap> overlap) {

  /** A tool is put in with everything that its values imply. */
  public Loaded {
    tool = Completed.of(tool).tool();
    retired = List.copyOf(retired);
  }

  /** A tool whose stack is in use. */
  public Loaded(Tool tool, Optional<Assembly> assembly) {
    this(tool, assembly, List.of(), Optional.empty());
  }

  /** The same with places that it covers. */
  public Loaded covering(Optional<Overlap> covered) {
    return new Loaded(tool, assembly, retired, covered);
  }

  /**
   * What a storage meets of it; what nobody knows of a bare cutter counts as nothing. On a turret a
   * block that holds a tool across holds it along the spindle, clear of the stations beside it.
   */
  public ToolBody body(StorageForm form) {
    BigDecimal widest =
        assembly
            .map(form == StorageForm.TURRET ? Assembly::thickness : Assembly::diameter)
            .orElse(BigDecimal.ZERO);
    return new ToolBody(
        widest.max(bareDiameter()),
        farthest(),
        mass().orElse(BigDecimal.ZERO),
        assembly.map(Assembly::moment).orElse(BigDecimal.ZERO),
        overlap.map(Overlap::plus).orElse(null),
        overlap.map(Overlap::minus).orElse(null),
        overlap.isPresent(),
        null,
        assembly.map(Assembly::corners).orElse(List.of()));
  }

  /** How far anything of it reaches from the gauge line, mm: a shank across, beyond its tip. */
  private BigDecimal farthest() {
    return assembly.stream()
        .flatMap(held -> held.corners().stream())
        .map(ToolCorner::along)
        .reduce(length().orElse(BigDecimal.ZERO), BigDecimal::max);
  }

  /** Largest diameter that the bare cutter states, mm. */
  private BigDecimal bareDiameter() {
    return Stream.of("DC", "DCX", "BDX", "BD", "DMM")
        .map(tool::size)
        .filter(Objects::nonNull)
        .reduce(BigDecimal.ZERO, BigDecimal::max);
  }

  /** Length from the gauge line, mm; the bare cutter's own where no stack is kept. */
  Optional<BigDecimal> length() {
    String symbol = tool.has("LPR") ? "LPR" : tool.has("LF") ? "LF" : "OAL";
    return assembly.map(Assembly::length).or(() -> Optional.ofNullable(tool.size(symbol)));
  }

  /** Mass, kg. */
  Optional<BigDecimal> mass() {
    return assembly.map(Assembly::mass).or(() -> Optional.ofNullable(tool.size("WT")));
  }
}
