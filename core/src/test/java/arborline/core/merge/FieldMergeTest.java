package arborline.core.merge;

import static org.junit.jupiter.api.Assertions.assertEquals;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

class FieldMergeTest {

  private static final Map<String, String> BASE = Map.of("DC", "10", "OAL", "72", "NOF", "4");

  @Test
  void differentFieldsOfBothSidesCome() {
    FieldMerge.Merged<String> merged =
        FieldMerge.merge(
            BASE,
            Map.of("DC", "12", "OAL", "72", "NOF", "4"),
            Map.of("DC", "10", "OAL", "80", "NOF", "4", "RE", "1"));
    assertEquals(Map.of("DC", "12", "OAL", "80", "NOF", "4", "RE", "1"), merged.values());
    assertEquals(List.of(), merged.conflicts());
  }

  @Test
  void theSameOnBothSidesIsNoConflict() {
    Map<String, String> both = Map.of("DC", "12", "OAL", "72");
    assertEquals(both, FieldMerge.merge(BASE, both, both).values());
    assertEquals(List.of(), FieldMerge.merge(BASE, both, both).conflicts());
  }

  @Test
  void oneFieldChangedByBothIsAsked() {
    FieldMerge.Merged<String> merged =
        FieldMerge.merge(
            BASE, Map.of("DC", "12", "OAL", "72", "NOF", "4"), Map.of("OAL", "72", "NOF", "4"));
    assertEquals(List.of(new FieldMerge.Conflict("DC", "10", "12", "")), merged.conflicts());
  }
}
