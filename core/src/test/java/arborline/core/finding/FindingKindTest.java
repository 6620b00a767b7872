package arborline.core.finding;

import static org.junit.jupiter.api.Assertions.assertEquals;

import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

class FindingKindTest {

  @Test
  void whatIsMissingIsOneQuestion() {
    assertEquals("missing", Finding.query("missing.LCF", "").kind());
    assertEquals("missing", FindingKind.of("missing.DMM"));
    assertEquals("implied", FindingKind.of("implied.NOF"));
  }

  @Test
  void everythingElseIsAQuestionOfItsOwn() {
    assertEquals("ball-radius", FindingKind.of("ball-radius"));
    assertEquals("class.unknown", FindingKind.of("class.unknown"));
    assertEquals(Optional.empty(), FindingKind.orderOfAll("class.unknown"));
  }

  @Test
  void aQuestionNamesAllThatItIsAbout() {
    List<String> values = List.of("flute length (LCF)", "flute count (NOF)");
    assertEquals(
        "not given yet: flute length (LCF), flute count (NOF)",
        FindingKind.sentence("missing", Severity.QUERY, values));
    assertEquals(
        "these values are needed: flute length (LCF), flute count (NOF)",
        FindingKind.sentence("missing", Severity.HOLD, values));
    assertEquals(
        "these values follow from others: flute length (LCF), flute count (NOF)",
        FindingKind.sentence("implied", Severity.NOTE, values));
  }
}
