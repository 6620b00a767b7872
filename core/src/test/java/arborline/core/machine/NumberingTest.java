package arborline.core.machine;

import static org.junit.jupiter.api.Assertions.assertEquals;

import arborline.core.machine.Numbering.Scheme;
import java.util.Set;
import org.junit.jupiter.api.Test;

class NumberingTest {

  @Test
  void theNextFreeNumberComesAfterTheOneThatIsTaken() {
    Numbering apart = new Numbering(Scheme.NUMBER_APART, null, null);
    assertEquals(2, apart.nextFree(1, Set.of(1L, 5L)));
    assertEquals(6, apart.nextFree(4, Set.of(4L, 5L)));
  }

  @Test
  void aMachineWithARangeStaysInIt() {
    Numbering ranged = new Numbering(Scheme.PROGRAM_NUMBERS, 601, 604);
    assertEquals(601, ranged.nextFree(1, Set.of(1L)));
    assertEquals(604, ranged.nextFree(602, Set.of(602L, 603L)));
    assertEquals(601, ranged.nextFree(604, Set.of(604L)), "then from the beginning");
    assertEquals(605, ranged.nextFree(601, Set.of(601L, 602L, 603L, 604L)), "beyond a full one");
  }
}
