package arborline.core.table;

import static arborline.core.table.Tables.RANDOM;
import static arborline.core.table.Tables.entry;
import static arborline.core.table.Tables.rows;
import static org.junit.jupiter.api.Assertions.assertEquals;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Written is only what the control holds afterwards. */
class ProofTest {

  private static final String A = "TOOL=A NUMBER=5 OFFSET=5 LENGTH=120 DIAMETER=10";

  private static List<String> faults(String target, String after, Optional<TableEntry> spindle) {
    return Proof.faults(
        RANDOM,
        new ControlTable(rows(after), spindle),
        new RowWrite("5", entry(target), Set.of(), false));
  }

  private static List<String> faults(String target, String after) {
    return faults(target, after, Optional.empty());
  }

  @Test
  void whatTheControlHoldsAsWrittenIsProved() {
    assertEquals(List.of(), faults(A, "5:" + A));
    assertEquals(List.of(), faults(A, "5:TOOL=a NUMBER=5 OFFSET=5 LENGTH=120.000 DIAMETER=10.0"));
  }

  @ParameterizedTest(name = "{0}: {1}")
  @CsvSource({
    "TOOL=A NUMBER=6 OFFSET=5 LENGTH=120 DIAMETER=10, number of 5 should be 5 and is 6",
    "TOOL=A NUMBER=5 OFFSET=5 LENGTH=119 DIAMETER=10, length of 5 should be 120 and is 119",
    "TOOL=A NUMBER=5 OFFSET=5 DIAMETER=10, length of 5 should be 120 and is not set",
    "TOOL=A NUMBER=5 OFFSET=5 LENGTH=120 DIAMETER=10 LENGTH_WEAR=-0.1, length wear of 5 should be not set and is -0.1"
  })
  void whatIsOtherwiseIsSaid(String after, String fault) {
    assertEquals(List.of(fault), faults(A, "5:" + after));
  }

  @Test
  void aPlaceThatWasClearedIsEmpty() {
    assertEquals(List.of(), faults("", ""));
    assertEquals(List.of("5 still holds A"), faults("", "5:" + A));
  }

  @Test
  void aToolIsInOnePlaceOnly() {
    assertEquals(List.of("A is in 9 as well"), faults(A, "5:" + A + ";9:" + A));
    assertEquals(List.of(), faults(A, "5:" + A + ";9:TOOL=B NUMBER=6"));
  }

  /** While the spindle holds a tool its place is empty, and it is judged there. */
  @Test
  void aToolInTheSpindleIsJudgedInTheSpindle() {
    assertEquals(List.of(), faults(A, "", Optional.of(entry(A))));
    assertEquals(
        List.of("length of 5 should be 120 and is 90"),
        faults(A, "", Optional.of(entry(A.replace("120", "90")))));
    assertEquals(List.of(), faults(A, "5:" + A, Optional.of(entry("TOOL=B NUMBER=6"))));
  }
}
