package arborline.core.tool;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import arborline.core.tool.implied.Same;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class ClassSheetTest {

  private static final Rule SILENT = tool -> Optional.empty();
  private static final Implication LENGTH = new Same("APMX", "LCF");

  private static ClassSheet.Builder mill() {
    return ClassSheet.named("mill", "end mill", Process.MILLING);
  }

  @Test
  void aClassSaysWhatItGoesByAndWhatItAsks() {
    ClassSheet sheet =
        mill()
            .moving(Motion.DRILLS)
            .also("slot drill")
            .designatedBy("MIID")
            .requires("DC")
            .asks("APMX")
            .replaces("DC", "DCX")
            .implies(LENGTH)
            .allows("LU", "APMX")
            .defaults("NOF", "4")
            .rules(SILENT)
            .build();
    assertEquals("mill", sheet.id());
    assertEquals(Motion.DRILLS, sheet.motion());
    assertEquals(List.of("slot drill"), sheet.aliases());
    assertEquals(List.of("MIID"), sheet.designations());
    assertEquals(Set.of("DC", "APMX"), sheet.required());
    assertEquals(Set.of("APMX"), sheet.asked());
    assertEquals(Map.of("DC", List.of("DCX")), sheet.replaced());
    assertEquals(List.of(LENGTH), sheet.implications());
    assertEquals(Map.of("NOF", "4"), sheet.defaults());
    assertEquals(List.of(SILENT), sheet.rules());
    assertTrue(sheet.optional().containsAll(List.of("LU", "MIID", "COATING")));
    assertFalse(sheet.optional().contains("APMX"), "what is asked for is not optional");
    assertEquals(List.of("MIID", "DC", "APMX"), sheet.symbols().subList(0, 3));
  }

  @Test
  void itMovesAsMostOfItsProcessUnlessItSaysOtherwise() {
    assertEquals(Motion.MILLS, mill().build().motion());
  }

  @Test
  void whatAnotherValueReplacesIsNotNeeded() {
    ClassSheet sheet = mill().requires("DC").replaces("DC", "DCX").build();
    assertTrue(sheet.needs("DC", Sample.tool("NOF=4")));
    assertFalse(sheet.needs("DC", Sample.tool("DCX=10")));
    assertFalse(sheet.needs("NOF", Sample.tool("DCX=10")));
  }

  @ParameterizedTest
  @CsvSource({"end mill, an end mill", "Arbor, an Arbor", "drill, a drill", "reamer, a reamer"})
  void titlesHaveTheirArticle(String title, String named) {
    assertEquals(named, ClassSheet.named("x", title, Process.MILLING).build().named());
  }
}
