package arborline.core.recipe;

import arborline.core.exchange.CuttingReading;
import arborline.core.tool.Process;
import arborline.core.tool.ToolClass;
import arborline.core.tool.ToolClasses;
import java.util.Optional;
import java.util.Set;

/** Which property a column is for a class of tools. */
final class MeaningSymbols {

  private static final Set<String> DRILLS =
      Set.of(
          "drill-twist",
          "drill-spot",
          "drill-centre",
          "drill-step",
          "drill-deep-hole",
          "drill-indexable",
          "drill-panel",
          "core-drill");
  private static final Set<String> CONES = Set.of("chamfer-mill", "countersink", "engraver");
  private static final Set<String> TAPS = Set.of("tap-cutting", "tap-forming", "die");
  private static final Set<String> BORED =
      Set.of("face-mill", "shoulder-mill", "slot-mill-disc", "saw-blade");

  private MeaningSymbols() {}

  /**
   * The symbol, or the column of cutting data.
   *
   * @param toolClass id; empty while unknown
   */
  static Optional<String> of(Meaning meaning, String toolClass) {
    String symbol = symbol(meaning, toolClass);
    return symbol.isEmpty() ? cutting(meaning) : Optional.of(symbol);
  }

  private static String symbol(Meaning meaning, String toolClass) {
    return switch (meaning) {
      case THREAD -> toolClass.equals("thread-mill") ? "" : "TDZ";
      case INSERT -> "MIID";
      case DIAMETER -> diameter(toolClass);
      case DIAMETER_LARGEST -> "DCX";
      case DIAMETER_SMALLEST -> "DCN";
      case DIAMETER_CUTTING -> "DC";
      case LENGTH_CUTTING ->
          DRILLS.contains(toolClass) || TAPS.contains(toolClass) ? "LCF" : "APMX";
      case LENGTH_FLUTE -> "LCF";
      case LENGTH_OVERALL -> turning(toolClass) ? "LF" : "OAL";
      case LENGTH_USABLE -> "LU";
      case LENGTH_NECK -> "LN";
      case LENGTH_FUNCTIONAL -> "LF";
      case LENGTH_SHANK -> "LS";
      case LENGTH_STYLUS -> "LU";
      case SHANK -> "DMM";
      case NECK -> "DN";
      case BORE -> toolClass.isEmpty() || BORED.contains(toolClass) ? "DCONMS" : "DCONWS";
      case TEETH -> toolClass.equals("face-mill") ? "ZEFP" : "NOF";
      case INSERT_COUNT -> "CICT";
      case FLUTES_OR_FLUTE_LENGTH -> "NOF";
      case RADIUS -> "RE";
      case CHAMFER -> "CHW";
      case ANGLE_POINT -> "SIG";
      case ANGLE_SETTING -> "KAPR";
      case ANGLE_HELIX -> "FHA";
      case ANGLE_TAPER -> "BHTA";
      case ANGLE -> angle(toolClass);
      case WIDTH -> "CW";
      case DEPTH_LARGEST -> "CDX";
      case DEPTH_OF_CUT -> "APMX";
      case PITCH -> "TP";
      case THREADS_PER_INCH -> "TPI";
      case TOLERANCE -> tolerance(toolClass);
      case TOLERANCE_HOLE -> "TCHA";
      case HOLE_BEFORE -> "PHD";
      case ROTATION_LARGEST -> "RPMX";
      case MASS -> "WT";
      case HAND -> "HAND";
      case GRADE -> "GRADE";
      case SUBSTRATE -> "SUBSTRATE";
      case COATING -> "COATING";
      case SHANK_HEIGHT -> "H";
      case SHANK_WIDTH -> "B";
      case FUNCTIONAL_WIDTH -> "WF";
      default -> "";
    };
  }

  private static Optional<String> cutting(Meaning meaning) {
    return switch (meaning) {
      case WORK_MATERIAL -> Optional.of(CuttingReading.MATERIAL);
      case PURPOSE -> Optional.of(CuttingReading.PURPOSE);
      case COOLANT -> Optional.of(CuttingReading.COOLANT);
      case SPEED -> Optional.of("VC");
      case FEED_TOOTH -> Optional.of("FZ");
      case FEED_TURN -> Optional.of("FN");
      case ROTATION -> Optional.of("N");
      case FEED_RATE -> Optional.of("VF");
      case CUT_DEPTH -> Optional.of("AP");
      case CUT_WIDTH -> Optional.of("AE");
      default -> Optional.empty();
    };
  }

  private static String diameter(String toolClass) {
    if (TAPS.contains(toolClass)) {
      return "TD";
    }
    if (turning(toolClass)) {
      return "DMM";
    }
    return CONES.contains(toolClass) ? "DCX" : "DC";
  }

  private static String angle(String toolClass) {
    boolean sided = toolClass.equals("dovetail-mill") || toolClass.equals("face-mill");
    return sided || turning(toolClass) ? "KAPR" : "SIG";
  }

  private static String tolerance(String toolClass) {
    if (TAPS.contains(toolClass) || toolClass.equals("thread-mill")) {
      return "TCTR";
    }
    return toolClass.equals("reamer") ? "TCHA" : "TCDC";
  }

  private static boolean turning(String toolClass) {
    return ToolClasses.named(toolClass)
        .map(ToolClass::sheet)
        .filter(sheet -> sheet.process() == Process.TURNING)
        .isPresent();
  }
}
