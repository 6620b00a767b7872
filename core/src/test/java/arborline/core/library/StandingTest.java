package arborline.core.library;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;

import java.util.Arrays;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;

class StandingTest {

  @Test
  void goesFromADraftToRetired() {
    assertEquals(
        List.of("draft", "checked", "released", "retired"),
        Arrays.stream(Standing.values()).map(Standing::word).toList());
  }

  @ParameterizedTest
  @EnumSource
  void isFoundByItsPlace(Standing standing) {
    assertEquals(standing, Standing.at(standing.place()));
  }

  @ParameterizedTest
  @ValueSource(ints = {-1, 4, 127})
  void noOtherPlaceIsOne(int place) {
    assertThrows(IllegalArgumentException.class, () -> Standing.at(place));
  }
}
