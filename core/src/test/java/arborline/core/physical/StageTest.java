package arborline.core.physical;

import static org.junit.jupiter.api.Assertions.assertEquals;

import org.junit.jupiter.api.Test;

class StageTest {

  private static final Whereabouts POCKET = Whereabouts.at("M1", "5");

  private static Stage stage(
      PhysicalState state, Whereabouts where, boolean assembled, boolean measured, boolean wanted) {
    return Stage.of(state, where, assembled, measured, wanted);
  }

  @Test
  void aPieceGoesThroughTheToolroomFromLeftToRight() {
    assertEquals(Stage.TO_ASSEMBLE, stage(PhysicalState.NEW, Whereabouts.CRIB, false, false, true));
    assertEquals(Stage.TO_MEASURE, stage(PhysicalState.NEW, Whereabouts.CRIB, true, false, true));
    assertEquals(Stage.TO_BRING, stage(PhysicalState.NEW, Whereabouts.CRIB, true, true, true));
    assertEquals(Stage.IN_MACHINE, stage(PhysicalState.IN_USE, POCKET, true, true, true));
    assertEquals(Stage.TO_FETCH, stage(PhysicalState.IN_USE, POCKET, true, true, false));
  }

  @Test
  void whatNobodyWaitsForStaysReady() {
    assertEquals(Stage.READY, stage(PhysicalState.IN_USE, Whereabouts.CRIB, true, true, false));
  }

  @Test
  void whatBrokeIsFetchedAndThenOutOfUse() {
    assertEquals(Stage.TO_FETCH, stage(PhysicalState.BROKEN, POCKET, true, true, true));
    assertEquals(Stage.OUT_OF_USE, stage(PhysicalState.BROKEN, Whereabouts.CRIB, true, true, true));
  }
}
