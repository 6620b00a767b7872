package arborline.shop;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.IOException;
import java.math.BigDecimal;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class RegisterControlTest {

  @TempDir Path folder;
  private RegisterControl control;

  @BeforeEach
  void delivered() {
    control = control();
    control.panel("{\"number\":3,\"length\":4.7244,\"radius\":0.1969}");
  }

  private RegisterControl control() {
    return new RegisterControl(
        new StateFile<>(folder.resolve("m2.json"), "m2-plover.json", RegisterState.class));
  }

  private String with(int number, String length) {
    control.panel("{\"number\":%d,\"length\":%s}".formatted(number, length));
    String text = control.punch();
    control.forget();
    return text;
  }

  @Test
  void whatIsPunchedCanBeTakenAgainAndSurvivesARestart() {
    String text = with(3, "5.5");
    control.take(text);
    assertEquals(new BigDecimal("5.5000"), control().state().at(3).length());
    assertTrue(control().punch().contains("  3 H   5.5000 R   0.1969\r\n"));
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "TOOLDATA INCH  24 | TOOLDATA METR  24 | ALARM 11",
        "5.5000 | 5.5001 | ALARM 13",
        "'  3 H' | '3 H' | ALARM 12",
        "5.5000 | 5.x000 | ALARM 12",
      })
  void whatIsNoTableOfItIsRefusedAndNothingChanges(String before, String after, String alarm) {
    String text = with(3, "5.5").replace(before, after);
    RefusedException refused = assertThrows(RefusedException.class, () -> control.take(text));
    assertTrue(refused.getMessage().startsWith(alarm), refused.getMessage());
    assertFalse(control.punch().contains("5.5"));
  }

  @Test
  void halfATableIsRefused() {
    String text = control.punch();
    assertThrows(RefusedException.class, () -> control.take(text.substring(0, text.length() / 2)));
  }

  @Test
  void registersBeforeALockedOneStayChanged() {
    control.panel("{\"number\":2,\"length\":1}");
    String text = with(3, "5.5");
    control.behave(Behaviour.of("{\"refuseRegister\":3}"));
    assertEquals(
        "ALARM 032: register 3 is locked",
        assertThrows(RefusedException.class, () -> control.take(text)).getMessage());
    assertEquals(new BigDecimal("1.0000"), control.state().at(2).length());
    control.behave(Behaviour.of("{\"protectedMemory\":true}"));
    assertThrows(RefusedException.class, () -> control.take(text));
  }

  private void drop(String name, String text) throws IOException {
    Files.writeString(folder.resolve("m2/in").resolve(name), text);
  }

  private String out(String name) throws IOException {
    return Files.readString(folder.resolve("m2/out").resolve(name)).strip();
  }

  @Test
  void theFoldersAnswerWhatIsAskedAndTakeWhatIsDropped() throws IOException {
    String wanted = with(7, "2.25");
    DropFolder drops = new DropFolder(folder.resolve("m2"), control, "TOOLS.TXT");
    drop("TOOLS.TXT", wanted);
    drops.look();
    assertTrue(out("TOOLS.TXT.ACK").matches("[0-9a-f]{64} OK"), out("TOOLS.TXT.ACK"));
    drop("TOOLS.TXT.REQ", "word");
    drops.look();
    assertEquals("word", out("TOOLS.TXT.OUT"));
    assertEquals(wanted.strip(), out("TOOLS.TXT"));
    try (var left = Files.list(folder.resolve("m2/in"))) {
      assertEquals(0, left.count());
    }
  }

  @Test
  void anAlarmIsAcknowledgedACutIsNotAndOfflineNothingIsTouched() throws IOException {
    String wanted = with(7, "2.25");
    DropFolder drops = new DropFolder(folder.resolve("m2"), control, "TOOLS.TXT");
    drop("TOOLS.TXT", "TOOLDATA");
    drops.look();
    assertTrue(out("TOOLS.TXT.ACK").contains("ALARM 11"), out("TOOLS.TXT.ACK"));
    Files.delete(folder.resolve("m2/out/TOOLS.TXT.ACK"));
    control.behave(Behaviour.of("{\"cutAfterRows\":0}"));
    drop("TOOLS.TXT", wanted);
    drops.look();
    assertFalse(Files.exists(folder.resolve("m2/out/TOOLS.TXT.ACK")));
    control.behave(Behaviour.of("{\"offline\":true}"));
    drop("TOOLS.TXT", wanted);
    drops.look();
    assertTrue(Files.exists(folder.resolve("m2/in/TOOLS.TXT")));
  }
}
