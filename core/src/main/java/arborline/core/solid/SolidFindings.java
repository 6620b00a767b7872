package arborline.core.solid;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;

/** Gathers findings, each once, and not without end. */
final class SolidFindings {

  private static final int MOST = 200;

  private final Set<SolidFinding> all = new LinkedHashSet<>();

  void add(long line, String code, String message) {
    if (all.size() < MOST) {
      all.add(new SolidFinding(line, code, message));
    }
  }

  List<SolidFinding> all() {
    return new ArrayList<>(all);
  }
}
