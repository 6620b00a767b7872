package arborline.core.tool;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import arborline.core.finding.Finding;
import java.util.HashMap;
import java.util.HashSet;
import java.util.Map;
import java.util.Set;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/** A repair is offered for many lines at once by its id: it must order the same for all of them. */
class RepairTitlesTest {

  private static final String[] VALUES = {
    "DC=10 APMX=22",
    "DC=10 LU=30",
    "DC=5 OAL=60 TDZ=M8",
    "SC=C IC=12.7 S=4.76 RE=0.8 AN=0",
    "SC=S IC=9.525 S=3.18 RE=0.4 AN=7",
    "DCX=10 DCN=0 SIG=90 APMX=6",
    "DC=0.5 RE=4 APMX=12 LU=5 DMM=12.7"
  };

  private static Stream<Finding> offering() {
    return ToolClasses.all().stream()
        .flatMap(toolClass ->
            Stream.of(VALUES)
                .map(values -> "CLASS=%s %s".formatted(toolClass.sheet().id(), values)))
        .flatMap(text -> RuleBook.judge(Sample.tool(text)).stream())
        .filter(finding -> finding.repair().isPresent());
  }

  @Test
  void allOfOneIdOrderTheSame() {
    Map<String, Set<String>> titles = new HashMap<>();
    offering()
        .map(finding -> finding.repair().orElseThrow())
        .forEach(repair ->
            titles.computeIfAbsent(repair.id(), id -> new HashSet<>()).add(repair.title()));
    assertTrue(titles.size() > 10, titles.keySet().toString());
    assertEquals(
        Set.of(),
        titles.values().stream()
            .filter(several -> several.size() > 1)
            .collect(java.util.stream.Collectors.toSet()));
  }
}
