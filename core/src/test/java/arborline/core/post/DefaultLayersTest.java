package arborline.core.post;

import static org.junit.jupiter.api.Assertions.assertEquals;

import arborline.core.post.DefaultLayers.Effective;
import arborline.core.post.DefaultLayers.Replaced;
import arborline.core.post.DefaultLayers.Source;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class DefaultLayersTest {

  @Test
  void aMachineReplacesSingleDefaultsAndAPersonSingleOnesAgain() {
    assertEquals(
        List.of(
            new Effective(
                "cut.direction",
                "climb",
                Source.PERSON,
                List.of(
                    new Replaced("conventional", Source.MACHINE),
                    new Replaced("climb", Source.POST))),
            new Effective("feed.finish", "0.6", Source.POST, List.of()),
            new Effective(
                "coolant", "air", Source.MACHINE, List.of(new Replaced("flood", Source.POST)))),
        DefaultLayers.of(
            Map.of("cut.direction", "climb", "coolant", "flood", "feed.finish", "0.6"),
            Map.of("cut.direction", "conventional", "coolant", "air"),
            Map.of("cut.direction", "climb")));
  }

  @ParameterizedTest(name = "{0} = {1}: {2}")
  @CsvSource({
    "cut.direction, climb, ''",
    "cut.direction, up, 'cut.direction: choose climb, conventional'",
    "feed.rough, 1.25, ''",
    "feed.rough, 0, 'feed.rough: a number above 0 up to 3, such as 0.5'",
    "feed.rough, 3.1, 'feed.rough: a number above 0 up to 3, such as 0.5'",
    "approach.angle, 181, 'approach.angle: a number from 0 to 180, such as 0.5'",
    "clearance.height, 1e9, 'clearance.height: a number from 0 to 10000, such as 0.5'",
    "coolant, flood, ''",
    "spindle, 5, '''spindle'' is no default that is known'"
  })
  void valuesAreOfTheirKind(String key, String value, String fault) {
    assertEquals(
        fault.isEmpty() ? List.of() : List.of(fault),
        new OperationDefaults(Map.of(key, value)).faults());
  }
}
