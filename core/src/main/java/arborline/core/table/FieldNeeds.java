package arborline.core.table;

import arborline.core.tool.Motion;
import arborline.core.tool.Tool;
import arborline.core.tool.ToolClasses;
import java.util.Collection;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;

/**
 * Which values of a tool table a program needs of a tool: by what it does and how the tool moves. A
 * tool that the work turns against has X, Z and a nose; every other one a length and a diameter, or
 * X and Z where the control keeps these of all tools.
 */
public final class FieldNeeds {

  private static final Map<ProgramUse, List<TableField>> TURNING =
      new EnumMap<>(
          Map.of(
              ProgramUse.PLAIN_MOVES, List.of(TableField.X, TableField.Z),
              ProgramUse.RADIUS_COMPENSATION,
                  List.of(TableField.NOSE_RADIUS, TableField.ORIENTATION),
              ProgramUse.DRILLING_CYCLES, List.of(TableField.Z),
              ProgramUse.TAPPING, List.of(TableField.Z)));
  private static final Map<ProgramUse, List<TableField>> OTHERS =
      new EnumMap<>(
          Map.of(
              ProgramUse.PLAIN_MOVES, List.of(TableField.LENGTH),
              ProgramUse.RADIUS_COMPENSATION, List.of(TableField.DIAMETER),
              ProgramUse.DRILLING_CYCLES, List.of(TableField.LENGTH),
              ProgramUse.TAPPING, List.of(TableField.LENGTH, TableField.PITCH)));

  private FieldNeeds() {}

  /**
   * A value that the control does not have.
   *
   * @param purpose what programs need it for; empty where none does
   */
  public record Need(TableField field, Optional<Purpose> purpose) {

    /** True where a program goes wrong without it. */
    public boolean holds() {
      return purpose.isPresent();
    }

    /** Why it matters, or that it does not. */
    public String reason() {
      return purpose
          .map(why ->
              "%s is not set at the control: it is needed for %s"
                  .formatted(field.title(), why.words()))
          .orElseGet(() ->
              "%s is not set at the control; no program that calls it here uses it"
                  .formatted(field.title()));
    }
  }

  /**
   * The values that a tool of this kind has, each with the first use that needs it; empty for one
   * that none of these uses needs.
   *
   * @param lengthKept false where the control keeps X and Z of all tools, and no lengths
   */
  public static Map<TableField, Optional<ProgramUse>> of(
      Motion motion, Set<ProgramUse> uses, boolean lengthKept) {
    Map<ProgramUse, List<TableField>> table =
        motion == Motion.TURNS || !lengthKept ? TURNING : OTHERS;
    Map<TableField, Optional<ProgramUse>> needs = new TreeMap<>();
    table.forEach((use, fields) -> {
      boolean nose = use == ProgramUse.RADIUS_COMPENSATION && table == TURNING;
      for (TableField field : fields) {
        boolean needed = uses.contains(use) && !(nose && motion != Motion.TURNS);
        if (needed) {
          needs.merge(field, Optional.of(use), (one, other) -> one.isPresent() ? one : other);
        } else if (field.measured()) {
          needs.putIfAbsent(field, Optional.empty());
        }
      }
    });
    return needs;
  }

  /**
   * What programs need of a tool, and which jobs these are of.
   *
   * @param jobs that call it
   */
  public static Map<TableField, Optional<Purpose>> of(
      Tool tool, List<JobUse> jobs, boolean lengthKept) {
    Motion motion = motion(tool);
    Map<TableField, Optional<Purpose>> purposes = new TreeMap<>();
    of(motion, ProgramUse.of(motion, jobs.stream().map(JobUse::uses).toList()), lengthKept)
        .forEach((field, use) ->
            purposes.put(
                field, use.map(why -> new Purpose(why, needing(field, motion, jobs, lengthKept)))));
    return purposes;
  }

  private static List<String> needing(
      TableField field, Motion motion, List<JobUse> jobs, boolean lengthKept) {
    return jobs.stream()
        .filter(job ->
            of(motion, ProgramUse.of(motion, List.of(job.uses())), lengthKept)
                .getOrDefault(field, Optional.empty())
                .isPresent())
        .map(JobUse::job)
        .distinct()
        .sorted()
        .toList();
  }

  /** How a tool moves; as a mill where its class is not known. */
  public static Motion motion(Tool tool) {
    return ToolClasses.named(tool.toolClass())
        .map(known -> known.sheet().motion())
        .orElse(Motion.MILLS);
  }

  /** False where a control keeps X and Z of all tools, and no lengths. */
  public static boolean lengthKept(ControlTerms terms) {
    return terms.declared(TableField.X).isEmpty() || terms.declared(TableField.LENGTH).isPresent();
  }

  /**
   * What of a row is not set: what a program needs of it, and sizes that nothing uses.
   *
   * @param kept fields that the control keeps
   * @param control as it shows the tool
   */
  public static List<Need> missing(
      Map<TableField, Optional<Purpose>> needs, Collection<TableField> kept, TableEntry control) {
    return needs.entrySet().stream()
        .filter(need -> kept.contains(need.getKey()) && control.get(need.getKey()) == null)
        .map(need -> new Need(need.getKey(), need.getValue()))
        .toList();
  }
}
