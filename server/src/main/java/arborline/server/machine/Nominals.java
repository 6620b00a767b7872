package arborline.server.machine;

import arborline.core.machine.Machine;
import arborline.core.table.ControlDialects;
import arborline.core.table.ControlTerms;
import arborline.core.table.FieldNeeds;
import arborline.core.table.JobUse;
import arborline.core.table.Nominal;
import arborline.core.table.Purpose;
import arborline.core.table.TableField;
import arborline.core.tool.Completed;
import arborline.core.tool.Tool;
import arborline.server.stack.Assemblies;
import java.math.BigDecimal;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;

/**
 * What tools should measure: the gauge length of the stack they are kept in, the diameter of their
 * sheet. Where no stack is kept, only that a length cannot be shorter than the edges, nor longer
 * than the tool in any usual holder.
 */
@Component
public class Nominals {

  private static final BigDecimal LONGEST_HOLDER = new BigDecimal("250");

  private final Assemblies assemblies;
  private final ProgramUses uses;

  Nominals(Assemblies assemblies, ProgramUses uses) {
    this.assemblies = assemblies;
    this.uses = uses;
  }

  /** By tool code, upper case, of tools as they are given. */
  public Map<String, Nominal> of(Machine machine, Map<Long, Tool> tools) {
    var held = assemblies.of(tools, machine.seat());
    Map<Long, List<JobUse>> jobs = uses.of(machine.id());
    boolean lengthKept = lengthKept(machine);
    Map<String, Nominal> nominal = new HashMap<>();
    tools.forEach((id, tool) ->
        nominal.put(
            tool.code().toUpperCase(Locale.ROOT),
            nominal(
                tool,
                Optional.ofNullable(held.get(id)).map(known -> known.assembly().length()),
                unneeded(tool, jobs.getOrDefault(id, List.of()), lengthKept))));
    return nominal;
  }

  /** The same of tools that are for no machine: what their sheets say. */
  Map<String, Nominal> ofSheets(Map<Long, Tool> tools) {
    Map<String, Nominal> nominal = new HashMap<>();
    tools
        .values()
        .forEach(tool ->
            nominal.put(
                tool.code().toUpperCase(Locale.ROOT), nominal(tool, Optional.empty(), Set.of())));
    return nominal;
  }

  private static boolean lengthKept(Machine machine) {
    return ControlDialects.find(machine.habits().dialect())
        .map(dialect -> FieldNeeds.lengthKept(ControlTerms.of(machine, dialect)))
        .orElse(true);
  }

  private static Nominal nominal(
      Tool written, Optional<BigDecimal> gaugeLength, Set<TableField> unneeded) {
    Tool tool = Completed.of(written).tool();
    Map<TableField, BigDecimal> sizes = new HashMap<>();
    gaugeLength.ifPresent(length -> sizes.put(TableField.LENGTH, length));
    first(tool, "DC", "DCX", "TD").ifPresent(size -> sizes.put(TableField.DIAMETER, size));
    first(tool, "RE").ifPresent(radius -> sizes.put(TableField.NOSE_RADIUS, radius));
    Map<TableField, Nominal.Window> bounds = new HashMap<>();
    first(tool, "OAL", "LF", "LPR")
        .ifPresent(length -> {
          BigDecimal most = length.add(LONGEST_HOLDER);
          bounds.put(TableField.LENGTH, new Nominal.Window(shortest(tool), most));
          bounds.put(TableField.X, new Nominal.Window(most.negate(), most));
          bounds.put(TableField.Z, new Nominal.Window(most.negate(), most));
        });
    return new Nominal(sizes, Optional.empty(), bounds, unneeded);
  }

  private static Set<TableField> unneeded(Tool tool, List<JobUse> jobs, boolean lengthKept) {
    Map<TableField, Optional<Purpose>> needs = FieldNeeds.of(tool, jobs, lengthKept);
    Set<TableField> unneeded = new HashSet<>(TableField.SIZES);
    unneeded.removeIf(size -> needs.getOrDefault(size, Optional.empty()).isPresent());
    return unneeded;
  }

  private static Optional<BigDecimal> first(Tool tool, String... symbols) {
    return Stream.of(symbols).map(tool::size).filter(Objects::nonNull).findFirst();
  }

  private static BigDecimal shortest(Tool tool) {
    return List.of("LU", "LCF", "APMX").stream()
        .map(tool::size)
        .filter(Objects::nonNull)
        .max(BigDecimal::compareTo)
        .orElse(BigDecimal.ONE);
  }
}
