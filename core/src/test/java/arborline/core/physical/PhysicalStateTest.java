package arborline.core.physical;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

class PhysicalStateTest {

  @ParameterizedTest
  @EnumSource
  void nothingIsNewAgain(PhysicalState state) {
    assertFalse(state.mayBecome(PhysicalState.NEW));
  }

  @ParameterizedTest
  @CsvSource({
    "NEW, IN_USE, true",
    "NEW, REGROUND, false",
    "BROKEN, IN_USE, false",
    "BROKEN, REGROUND, true",
    "BROKEN, WORN, false",
    "WORN, IN_USE, false",
    "WORN, REGROUND, true",
    "REGROUND, REGROUND, true",
    "IN_USE, IN_USE, false",
    "LOST, IN_USE, true",
    "LOST, REGROUND, false",
    "IN_USE, LOST, true",
  })
  void whatAnEdgeCanBecome(PhysicalState now, PhysicalState next, boolean may) {
    assertEquals(may, now.mayBecome(next));
  }

  @Test
  void whatIsBrokenWornOrLostIsNotLoaded() {
    assertTrue(PhysicalState.REGROUND.usable());
    assertFalse(PhysicalState.BROKEN.usable());
    assertFalse(PhysicalState.WORN.usable());
    assertFalse(PhysicalState.LOST.usable());
    assertEquals(
        List.of(PhysicalState.REGROUND, PhysicalState.LOST), PhysicalState.BROKEN.following());
    assertEquals("in use", PhysicalState.IN_USE.words());
  }
}
