package arborline.core.recipe;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.IOException;
import java.util.List;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** Tool lists of many shops are read with nobody deciding anything. */
class ForeignListsTest {

  static List<String> lists() throws IOException {
    return ListTruth.names();
  }

  @ParameterizedTest
  @MethodSource("lists")
  void isReadAsAPractitionerWould(String name) throws IOException {
    ListTruth truth = ListTruth.of(name);
    assertTrue(truth.percent() >= 90, () -> truth.percent() + " % right; " + truth.wrong());
    assertEquals(List.of(), truth.silent());
  }
}
