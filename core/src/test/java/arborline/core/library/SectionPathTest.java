package arborline.core.library;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class SectionPathTest {

  @Test
  void aToolStandsInSeveralSectionsOfTwoLevels() {
    List<SectionPath> paths = SectionPath.parse("Roughing / Long; Aluminium;; Aluminium");
    assertEquals(
        List.of(new SectionPath("Roughing", "Long"), new SectionPath("Aluminium", "")), paths);
    assertEquals("Roughing / Long; Aluminium", SectionPath.text(paths));
  }

  @Test
  void aThirdLevelBecomesPartOfTheSecond() {
    assertEquals(List.of(new SectionPath("A", "B/C")), SectionPath.parse("A / B / C"));
  }

  @Test
  void aSlashWithoutBlanksIsPartOfAName() {
    assertEquals(List.of(new SectionPath("HSS/VHM", "")), SectionPath.parse("HSS/VHM"));
  }

  @Test
  void nothingThatCanBeSeenIsNoSection() {
    assertEquals(List.of(), SectionPath.parse("  "));
    assertEquals(List.of(new SectionPath("Long", "")), SectionPath.parse("\u200b; Lo\u200bng"));
  }

  @ParameterizedTest
  @ValueSource(strings = {" ", "A; B", "A / B", "with\u200bnothing"})
  void whatIsNoNameOfASection(String name) {
    assertTrue(SectionPath.fault(name).isPresent());
  }

  @Test
  void anOrdinaryNameIsOne() {
    assertTrue(SectionPath.fault("Ø 6 to 12").isEmpty());
  }
}
