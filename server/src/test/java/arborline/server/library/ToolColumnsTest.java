package arborline.server.library;

import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import arborline.core.tool.Process;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** Which columns lists have until somebody chooses. */
class ToolColumnsTest {

  @Test
  void turningToolsAreListedByInsertHandAngleRadiusAndShank() {
    List<String> columns = ToolColumns.following(Map.of(Process.TURNING, 12L));
    assertTrue(columns.containsAll(List.of("code", "MIID", "HAND", "KAPR", "RE", "H", "B")));
    assertFalse(columns.contains("DC"));
    assertFalse(columns.contains("NOF"));
  }

  @Test
  void drillsAreListedByDiameterReachAndPointAngle() {
    List<String> columns = ToolColumns.following(Map.of(Process.HOLE_MAKING, 12L));
    assertTrue(columns.containsAll(List.of("code", "DC", "LU", "SIG", "OAL")));
    assertFalse(columns.contains("APMX"));
    assertFalse(columns.contains("HAND"));
  }

  @Test
  void aSingleDrillAmongMillsBringsNoColumns() {
    assertFalse(
        ToolColumns.following(Map.of(Process.MILLING, 99L, Process.HOLE_MAKING, 1L))
            .contains("SIG"));
  }

  @Test
  void amongManyKindsOfToolsStandWhatHalfOfThemHave() {
    List<String> columns =
        ToolColumns.following(
            Map.of(Process.MILLING, 10L, Process.HOLE_MAKING, 10L, Process.TURNING, 10L));
    assertTrue(columns.containsAll(List.of("DC", "RE", "LU", "OAL", "DMM")), columns.toString());
    assertFalse(columns.contains("HAND"));
    assertFalse(columns.contains("NOF"));
  }

  @Test
  void anEmptyListFollowsNothing() {
    assertTrue(ToolColumns.following(Map.of()).isEmpty());
  }
}
