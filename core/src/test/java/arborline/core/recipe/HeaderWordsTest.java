package arborline.core.recipe;

import static org.junit.jupiter.api.Assertions.assertEquals;

import java.util.Optional;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Headers as people of several countries write them over columns of tools. */
class HeaderWordsTest {

  private static Optional<Meaning> meaning(String header) {
    return HeaderWords.meaning(Words.normal(header));
  }

  @ParameterizedTest
  @CsvSource({
    "Shank diameter, SHANK",
    "Shank \u00d8, SHANK",
    "Neck diameter, NECK",
    "Overall length, LENGTH_OVERALL",
    "Flute length, LENGTH_FLUTE",
    "Cutting length, LENGTH_CUTTING",
    "Usable length, LENGTH_USABLE",
    "Neck length, LENGTH_NECK",
    "Shank length, LENGTH_SHANK",
    "Number of flutes, TEETH",
    "Corner radius, RADIUS",
    "Point angle, ANGLE_POINT",
    "Helix angle, ANGLE_HELIX"
  })
  void english(String header, Meaning meaning) {
    assertEquals(Optional.of(meaning), meaning(header));
  }

  @ParameterizedTest
  @CsvSource({
    "Schaftdurchmesser, SHANK",
    "Schaft-\u00d8, SHANK",
    "Gesamtl\u00e4nge, LENGTH_OVERALL",
    "Schneidenl\u00e4nge, LENGTH_CUTTING",
    "Nutzl\u00e4nge, LENGTH_USABLE",
    "Z\u00e4hnezahl, TEETH",
    "Anzahl Schneiden, TEETH",
    "Eckenradius, RADIUS",
    "Spitzenwinkel, ANGLE_POINT",
    "Drallwinkel, ANGLE_HELIX",
    "Halsdurchmesser, NECK"
  })
  void german(String header, Meaning meaning) {
    assertEquals(Optional.of(meaning), meaning(header));
  }

  @ParameterizedTest
  @CsvSource({
    "Longueur totale, LENGTH_OVERALL",
    "Diam\u00e8tre de queue, SHANK",
    "Nombre de dents, TEETH",
    "Rayon, RADIUS",
    "Lunghezza totale, LENGTH_OVERALL",
    "Diametro codolo, SHANK",
    "Numero denti, TEETH",
    "Longitud total, LENGTH_OVERALL",
    "Di\u00e1metro del mango, SHANK",
    "N\u00famero de dientes, TEETH",
    "Totale lengte, LENGTH_OVERALL",
    "Schachtdiameter, SHANK",
    "Aantal tanden, TEETH",
    "Hoekradius, RADIUS"
  })
  void ofNeighbours(String header, Meaning meaning) {
    assertEquals(Optional.of(meaning), meaning(header));
  }

  @ParameterizedTest
  @ValueSource(strings = {"", "Supplier shelf height", "Halb", "xyz", "Radial runout at customer"})
  void whatIsNotKnownMeansNothing(String header) {
    assertEquals(Optional.empty(), meaning(header));
  }
}
