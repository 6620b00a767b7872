package arborline.core.use;

import arborline.core.machine.Machine;
import arborline.core.machine.Machine.Placed;
import arborline.core.machine.Outputs;
import arborline.core.post.DefaultKey;
import arborline.core.tool.Process;
import arborline.core.tool.Tool;
import arborline.core.tool.ToolClass;
import arborline.core.tool.ToolClasses;
import arborline.core.turning.Mounting.Side;
import arborline.core.turning.Mounting.Work;
import java.math.BigDecimal;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/** How a tool is usually used in a place, until somebody says otherwise. */
public final class UsualUse {

  private static final BigDecimal ALONG = BigDecimal.ZERO;
  private static final BigDecimal ACROSS = new BigDecimal("90");

  private UsualUse() {}

  /**
   * The usual use of a tool in its block.
   *
   * @param offset its offset number
   * @param defaults what operations begin with at the machine, by key of {@link DefaultKey}; one
   *     that the machine cannot follow does not count
   * @param block angle at which its block holds it, as {@link BlockAngle} says it
   */
  public static ToolUse of(
      Machine machine,
      Placed placed,
      Tool tool,
      int offset,
      Map<String, String> defaults,
      Optional<BigDecimal> block) {
    UsePlace place = new UsePlace(machine, placed);
    Optional<ToolClass> known = ToolClasses.named(tool.toolClass());
    Process process = known.map(one -> one.sheet().process()).orElse(Process.MILLING);
    boolean turns = process == Process.TURNING;
    boolean driven = process != Process.PROBING && !turns && place.drives();
    Work work = turns ? turned(tool, block) : Work.CENTER;
    boolean lathe = !place.works().isEmpty();
    boolean across = lathe && (driven || work == Work.EXTERNAL);
    return new ToolUse(
        driven,
        place.reached().stream().findFirst().orElse(""),
        block.orElse(across ? ACROSS : ALONG),
        work,
        rakeUp(place.side(), tool),
        known.map(one -> SetPoint.of(one).getFirst()).orElse(SetPoint.MILL_TIP),
        List.of(offset),
        !"conventional".equals(defaults.get(DefaultKey.CUT_DIRECTION.key())),
        null,
        null,
        hood(machine.outputs(), defaults.get(DefaultKey.HOOD.key())),
        machine.outputs().blower() && !"off".equals(defaults.get(DefaultKey.BLOWER.key())),
        coolant(machine.outputs(), defaults.get(DefaultKey.COOLANT.key())));
  }

  private static @Nullable BigDecimal hood(Outputs outputs, @Nullable String said) {
    if (said == null || outputs.hoodFrom() == null || outputs.hoodTo() == null) {
      return outputs.hoodFrom();
    }
    BigDecimal height = new BigDecimal(said);
    boolean reached =
        height.compareTo(outputs.hoodFrom()) >= 0 && height.compareTo(outputs.hoodTo()) <= 0;
    return reached ? height : outputs.hoodFrom();
  }

  private static String coolant(Outputs outputs, @Nullable String said) {
    return outputs.coolant().stream()
        .filter(kind -> kind.equalsIgnoreCase(said))
        .findFirst()
        .or(() -> outputs.coolant().stream().findFirst())
        .orElse("");
  }

  /**
   * Bars with a least bore work inside, face groovers and shanks that their block holds along the
   * work on a face, all others outside.
   */
  private static Work turned(Tool tool, Optional<BigDecimal> block) {
    if (tool.has("DMIN")) {
      return Work.INTERNAL;
    }
    boolean along = block.filter(angle -> angle.signum() == 0).isPresent();
    return along || tool.has("DAXN") ? Work.FACE : Work.EXTERNAL;
  }

  /** So that a tool that cuts towards its chuck has the work turn as it usually does. */
  private static boolean rakeUp(Side side, Tool tool) {
    boolean left = tool.word("HAND").orElse("R").equals("L");
    return left != (side == Side.FRONT);
  }
}
