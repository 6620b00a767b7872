package arborline.core.storage;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertNull;
import static org.junit.jupiter.api.Assertions.assertTrue;

import arborline.core.storage.Layout.Spot;
import java.math.BigDecimal;
import java.util.List;
import java.util.OptionalInt;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

/** Places, their neighbours and where they are drawn. */
class StorageTest {

  private static Storage of(StorageForm form, int places, boolean closed) {
    return Storage.of(
        new StorageDefinition(
            "S",
            form,
            places,
            "L",
            21,
            new BigDecimal("90"),
            closed,
            false,
            null,
            null,
            null,
            null));
  }

  @Test
  void placesAreNamedByPrefixAndNumber() {
    StorageDefinition two = of(StorageForm.AGGREGATES, 2, false).definition();
    assertEquals(List.of("L21", "L22"), two.all());
    assertEquals(OptionalInt.of(1), two.index("L22"));
    for (String other : List.of("L23", "L20", "21", "l21", "L021", "", "L", "L99999")) {
      assertEquals(OptionalInt.empty(), two.index(other), other);
    }
  }

  @Test
  void aClosedRowGoesOnAtItsBeginningAndAnOpenOneEnds() {
    assertEquals(OptionalInt.of(0), of(StorageForm.CHAIN, 8, true).spacing().step(7, 1));
    assertEquals(OptionalInt.of(6), of(StorageForm.CHAIN, 8, true).spacing().step(0, -2));
    assertEquals(OptionalInt.empty(), of(StorageForm.RACK, 8, false).spacing().step(7, 1));
    assertEquals(OptionalInt.empty(), of(StorageForm.AGGREGATES, 8, false).spacing().step(3, 1));
  }

  /** 24 places on 90 mm chords; two apart 2 R sin(360°/24). Source: geometry of the circle. */
  @ParameterizedTest(name = "{0} of {1}, {2} apart: {3} mm")
  @CsvSource({
    "CHAIN, 24, 2, 180",
    "CHAIN, 24, 23, 90",
    "CAROUSEL, 24, 1, 90",
    "CAROUSEL, 24, 2, 178.460",
    "CAROUSEL, 24, 22, 178.460",
    "TURRET, 12, 2, 173.867",
    "TURRET, 6, 3, 180",
    "RACK, 10, 9, 810"
  })
  void distancesAreMeasuredAlongARowAndAcrossACircle(
      StorageForm form, int places, int steps, double distance) {
    boolean closed = form != StorageForm.RACK;
    assertEquals(
        distance,
        of(form, places, closed).spacing().distance(steps).orElseThrow().doubleValue(),
        0.001);
  }

  @ParameterizedTest
  @EnumSource(StorageForm.class)
  void everyPlaceHasASpotInsideTheDrawing(StorageForm form) {
    for (int places : new int[] {1, 2, 16, 60}) {
      Layout layout = of(form, places, form != StorageForm.RACK).layout(250);
      assertEquals(places, layout.spots().size());
      assertEquals(places, layout.spots().stream().map(Spot::place).distinct().count());
      assertEquals(
          places,
          layout.spots().stream()
              .map(spot -> "%.3f %.3f".formatted(spot.x(), spot.y()))
              .distinct()
              .count());
      for (Spot spot : layout.spots()) {
        assertTrue(spot.x() >= 0 && spot.x() <= layout.width(), spot.toString());
        assertTrue(spot.y() >= 0 && spot.y() <= layout.height(), spot.toString());
      }
    }
  }

  @Test
  void neighboursOfARowAreDrawnTheirPitchApart() {
    List<Spot> spots = of(StorageForm.CHAIN, 48, true).layout(250).spots();
    assertEquals(90, spots.get(1).x() - spots.get(0).x(), 1e-9);
    assertEquals(spots.get(0).y(), spots.get(23).y());
    assertEquals(spots.get(0).x(), spots.get(47).x(), "the last stands below the first");
    assertEquals(spots.get(23).x(), spots.get(24).x());
  }

  @Test
  void keysLeadToTheNextPlaceInTheDrawing() {
    List<Spot> chain = of(StorageForm.CHAIN, 48, true).layout(250).spots();
    assertEquals("L22", chain.get(0).next().right());
    assertNull(chain.get(0).next().left());
    assertNull(chain.get(0).next().up());
    assertEquals("L68", chain.get(0).next().down(), "the last stands below the first");
    assertEquals("L67", chain.get(47).next().right());
    List<Spot> turret = of(StorageForm.TURRET, 12, true).layout(250).spots();
    assertEquals("L22", turret.get(0).next().right());
    assertEquals("L32", turret.get(0).next().left());
  }

  @Test
  void toolsOfACarouselPointOutwards() {
    List<Spot> spots = of(StorageForm.CAROUSEL, 4, true).layout(250).spots();
    assertEquals(List.of(-90.0, 0.0, 90.0, 180.0), spots.stream().map(Spot::angle).toList());
    assertTrue(spots.get(0).y() < spots.get(2).y());
    assertTrue(spots.get(1).x() > spots.get(3).x());
  }

  @Test
  void aTurretThatFacesTheSpindleShowsItsToolsFromTheTip() {
    StorageDefinition plain = of(StorageForm.TURRET, 12, true).definition();
    TurretBody body =
        new TurretBody(
            new BigDecimal("180"),
            new BigDecimal("300"),
            true,
            true,
            List.of("main"),
            List.of(new Station(23, true, new BigDecimal("6000"), null, false, null)));
    Storage turret =
        Storage.of(
            new StorageDefinition(
                "T", plain.form(), 12, "", 21, plain.pitch(), true, false, null, null, null, body));
    Layout layout = turret.layout(250);
    assertTrue(layout.spots().stream().allMatch(Spot::endOn));
    assertEquals(
        List.of("23"), layout.spots().stream().filter(Spot::driven).map(Spot::place).toList());
    assertTrue(
        layout.strokes().stream()
            .anyMatch(stroke -> stroke.kind().equals("swing") && stroke.radius() == 300));
  }
}
