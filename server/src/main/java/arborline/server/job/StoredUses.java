package arborline.server.job;

import arborline.core.table.ProgramUse;
import java.util.Arrays;
import java.util.EnumSet;
import java.util.Set;
import java.util.stream.Collectors;

/** What programs do with a tool, as the database keeps it. */
final class StoredUses {

  private static final String BETWEEN = ",";

  private StoredUses() {}

  static String text(Set<ProgramUse> uses) {
    return uses.stream().sorted().map(ProgramUse::name).collect(Collectors.joining(BETWEEN));
  }

  static Set<ProgramUse> of(String text) {
    return text.isEmpty()
        ? Set.of()
        : Arrays.stream(text.split(BETWEEN))
            .map(ProgramUse::valueOf)
            .collect(Collectors.toCollection(() -> EnumSet.noneOf(ProgramUse.class)));
  }
}
