package arborline.server.machine;

import arborline.core.machine.Machine;
import arborline.core.quantity.Unit;
import arborline.core.table.Nominal;
import arborline.core.table.TableEntry;
import arborline.core.table.TableField;
import arborline.core.tool.Tool;
import java.math.BigDecimal;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;

/** What is measured of real pieces of tools: at a machine what its control keeps of them. */
@Service
public class PieceSizes {

  private static final int DECIMALS = 3;

  private final Machines machines;
  private final Nominals nominals;

  PieceSizes(Machines machines, Nominals nominals) {
    this.machines = machines;
    this.nominals = nominals;
  }

  /**
   * A size to measure.
   *
   * @param nominal mm; empty where nothing says it
   * @param needed true where a program goes wrong without it
   * @param signed true where it may be zero or below
   * @param note how the control shows it, where that is not as it is measured
   */
  public record Size(
      TableField field,
      Optional<BigDecimal> nominal,
      boolean needed,
      boolean signed,
      @Nullable String note) {}

  /**
   * Sizes of a tool in order, and what is odd about values of them.
   *
   * @param unit in which they are read and typed
   * @param decimals that are kept of them
   */
  public record Sizes(Unit unit, int decimals, List<Size> sizes, Nominal nominal) {

    public Optional<Size> named(String key) {
      return sizes.stream().filter(size -> size.field().key().equals(key)).findFirst();
    }
  }

  /**
   * By tool id.
   *
   * @param machineId for which they are assembled; null where they are for none: then their length
   *     and their diameter count, and nothing says how long they are
   */
  public Map<Long, Sizes> of(@Nullable String machineId, Map<Long, Tool> tools) {
    Optional<Machine> machine =
        Optional.ofNullable(machineId).map(id -> machines.get(id).machine());
    Map<String, Nominal> expected =
        machine.map(at -> nominals.of(at, tools)).orElseGet(() -> nominals.ofSheets(tools));
    Map<Long, Sizes> sizes = new HashMap<>();
    tools.forEach((id, tool) -> {
      Nominal nominal =
          expected.getOrDefault(tool.code().toUpperCase(Locale.ROOT), Nominal.UNKNOWN);
      sizes.put(
          id,
          new Sizes(
              machine.map(at -> at.habits().lengths()).orElse(Unit.MILLIMETRE),
              machine.map(at -> at.habits().decimals()).orElse(DECIMALS),
              MeasuredFields.of(machine, TableEntry.EMPTY, nominal).entrySet().stream()
                  .map(view -> size(view.getKey(), view.getValue(), nominal))
                  .toList(),
              nominal));
    });
    return sizes;
  }

  private static Size size(TableField field, MeasuredFields.MeasureView view, Nominal nominal) {
    return new Size(
        field,
        Optional.ofNullable(nominal.sizes().get(field)),
        view.needed(),
        view.signed(),
        view.note());
  }
}
