package arborline.core.physical;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.Optional;
import org.junit.jupiter.api.Test;

class WhereaboutsTest {

  private static String refusal(Whereabouts.Kind kind, String machine, String place) {
    return assertThrows(
            IllegalArgumentException.class,
            () -> new Whereabouts(kind, Optional.ofNullable(machine), Optional.ofNullable(place)))
        .getMessage();
  }

  @Test
  void aPlaceIsOneOfAMachine() {
    assertEquals("say at which machine it is", refusal(Whereabouts.Kind.PLACE, null, "4"));
    assertEquals(
        "say in which place of the machine it is", refusal(Whereabouts.Kind.PLACE, "M1", null));
    assertEquals("say at which machine it is", refusal(Whereabouts.Kind.SPINDLE, null, null));
  }

  @Test
  void aCartIsAtNoMachine() {
    assertEquals(
        "the cart is at no machine: leave it out", refusal(Whereabouts.Kind.CART, "M1", null));
    assertTrue(refusal(Whereabouts.Kind.SPINDLE, "M1", "4").contains("no place of a storage"));
  }

  @Test
  void aMachineHasWhatIsInItsSpindle() {
    assertTrue(Whereabouts.spindle("M1").inMachine());
    assertTrue(Whereabouts.at("M1", "4").inMachine());
    assertFalse(Whereabouts.CRIB.inMachine());
  }
}
