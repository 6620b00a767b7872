package arborline.core.physical;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class SerialsTest {

  @Test
  void piecesOfAToolAreCountedOn() {
    assertEquals("MC-FE06.1", Serials.next("MC-FE06", List.of()));
    assertEquals("MC-FE06.10", Serials.next("mc-fe06", List.of("MC-FE06.9", "MC-FE06.2")));
  }

  @Test
  void aSerialThatSomebodyChoseIsNoNumberOfOurs() {
    assertEquals("MC-FE06.1", Serials.next("MC-FE06", List.of("MC-FE06.A", "MC-FE060.4")));
    assertEquals("MC-FE06.1", Serials.next("MC-FE06", List.of("MC-FE06.99999999999")));
  }

  @Test
  void aCodeOfOddSignsStillGivesASerialThatCanBeRead() {
    String serial = Serials.next("\u00d8 10 / \u00fc-" + "X".repeat(60), List.of());
    assertTrue(Serials.refusal(serial).isEmpty(), serial);
    assertTrue(Serials.refusal(Serials.next("\u00fc\u00fc", List.of())).isEmpty());
  }

  @ParameterizedTest
  @ValueSource(strings = {"", " ", "-A", "A B", "A\t1", "\u00c4.1", "A;1"})
  void whatALabelCannotCarryIsNoSerial(String serial) {
    assertTrue(Serials.refusal(serial).isPresent());
  }

  @Test
  void letterCaseMakesNoOtherSerial() {
    assertEquals(Serials.key("mc-fe06.1"), Serials.key(" MC-FE06.1 "));
    assertTrue(Serials.refusal("A".repeat(41)).isPresent());
  }
}
