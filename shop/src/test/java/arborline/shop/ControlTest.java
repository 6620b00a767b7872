package arborline.shop;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.math.BigDecimal;
import java.nio.file.Path;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class ControlTest {

  @TempDir Path folder;
  private Control control;

  @BeforeEach
  void delivered() {
    control = control();
  }

  private Control control() {
    return new Control(new StateFile<>(folder.resolve("m1.json"), "m1-heron.json", State.class));
  }

  @Test
  void offsetProgramFillsRegistersAndSurvivesARestart() {
    control.offsets("%\n(OFFSETS)\nG21 G90\nG10 L10 P6 R120.5\nG10 L13 P6 R-.02\nM30\n%\n");
    State.Register register = control().state().registers().get(6);
    assertEquals(new BigDecimal("120.5"), register.length());
    assertEquals(0, register.diameterWear().compareTo(new BigDecimal("-0.02")));
  }

  @Test
  void forgettingBringsTheStateOfDeliveryBack() {
    control.offsets("G10 L10 P6 R1.\n");
    control.forget();
    assertEquals(new BigDecimal("121.407"), control().state().registers().get(6).length());
  }

  @Test
  void aToolIsInOnePocketOnly() {
    control.pockets("pocket\ttool\tnumber\tname\n30\tMC-FE06\t4\tMILL\n15\t-\t0\t\n");
    assertFalse(control.state().pockets().containsKey(1));
    assertFalse(control.state().pockets().containsKey(15));
    assertEquals("MC-FE06", control.state().pockets().get(30).tool());
  }

  @Test
  void rowsBeforeACutStayWrittenAndTheNextTimeItWorks() {
    control.behave(Behaviour.of("{\"cutAfterRows\":1}"));
    String program = "G10 L10 P1 R1.\nG10 L10 P2 R2.\n";
    assertThrows(CutOffException.class, () -> control.offsets(program));
    assertTrue(control.state().registers().containsKey(1));
    assertFalse(control.state().registers().containsKey(2));
    control.offsets(program);
    assertTrue(control.state().registers().containsKey(2));
  }

  @Test
  void lockedRegisterAndProtectedMemoryRaiseAlarms() {
    control.behave(Behaviour.of("{\"refuseRegister\":6}"));
    assertEquals(
        "ALARM 032: register 6 is locked",
        assertThrows(RefusedException.class, () -> control.offsets("G10 L10 P6 R1.\n"))
            .getMessage());
    control.behave(Behaviour.of("{\"protectedMemory\":true}"));
    assertThrows(RefusedException.class, () -> control.pockets("30\tA\t1\tA\n"));
  }

  @Test
  void whatIsNoProgramOrTableIsRefused() {
    assertThrows(RefusedException.class, () -> control.offsets("G0 X0\n"));
    assertThrows(RefusedException.class, () -> control.pockets("thirty\tA\t1\tA\n"));
    assertThrows(RefusedException.class, () -> control.pockets("49\tA\t1\tA\n"));
  }

  @Test
  void assetsNameThePocketOrTheSpindle() {
    String assets = control.assets();
    assertTrue(assets.contains("<Location type=\"SPINDLE\">2</Location>"));
    assertTrue(assets.contains("<Location type=\"POT\">1</Location>"));
  }
}
