package arborline.core.library;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import arborline.core.tool.Process;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

class LibraryProcessesTest {

  @ParameterizedTest
  @EnumSource(Process.class)
  void aLibraryThatStatesNothingHoldsEverything(Process process) {
    assertTrue(LibraryProcesses.ANY.refusal("tool", process).isEmpty());
  }

  @ParameterizedTest
  @CsvSource({
    "milling, MILLING, true",
    "milling, TURNING, false",
    "milling, ROUTING, false",
    "turning, MILLING, false",
    "turning, HOLE_MAKING, true",
    "turning, THREADING, true",
    "routing, PROBING, true",
    "routing, MILLING, false",
    "milling turning, TURNING, true",
    "milling turning, MILLING, true",
    "milling turning, JET, false",
    "jet, HOLE_MAKING, false",
    "jet, JET, true",
  })
  void whatALibraryHolds(String stated, Process process, boolean holds) {
    assertEquals(holds, LibraryProcesses.parse(stated).refusal("tool", process).isEmpty(), stated);
  }

  @Test
  void theReasonNamesBothSides() {
    assertEquals(
        Optional.of("the library is for milling and turning, the class nozzle is for jet"),
        LibraryProcesses.parse("turning milling").refusal("nozzle", Process.JET));
  }

  @Test
  void wordsGoThereAndBack() {
    assertEquals("milling turning", LibraryProcesses.parse("turning  milling").text());
    assertEquals("", LibraryProcesses.parse("planing").text());
  }
}
