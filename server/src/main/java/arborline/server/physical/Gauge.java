package arborline.server.physical;

import java.util.Locale;

/** With what a size of a piece was measured. */
enum Gauge {
  PRESETTER,
  HEIGHT_GAUGE,
  CALIPER,
  /** Touched off or probed at the machine. */
  MACHINE;

  String words() {
    return "the " + name().toLowerCase(Locale.ROOT).replace('_', ' ');
  }
}
