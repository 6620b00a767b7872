package arborline.core.table;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

class PlaceOrderTest {

  private static final List<String> IN_ORDER =
      List.of(
          "",
          "1",
          "2",
          "9",
          "10",
          "11",
          "99",
          "100",
          "T01",
          "T1\u00ff",
          "T1\u0416",
          "T\u0416a",
          "1000000",
          "10000001",
          "10000002",
          "POCKET 000000001",
          "POCKET 000000002");

  @Test
  void placesStandAsPeopleCountThem() {
    assertEquals(IN_ORDER, IN_ORDER.reversed().stream().sorted(PlaceOrder.BY_NUMBER).toList());
  }

  @Test
  void aRankNeverOrdersOtherwise() {
    for (String one : IN_ORDER) {
      for (String other : IN_ORDER) {
        int ranked = Long.compare(PlaceOrder.rank(one), PlaceOrder.rank(other));
        int counted = Integer.signum(PlaceOrder.BY_NUMBER.compare(one, other));
        assertTrue(ranked == 0 || ranked == counted, one + " and " + other);
      }
    }
  }

  @Test
  void placesOfAMagazineHaveARankOfTheirOwn() {
    long ranks =
        Stream.iterate(1, place -> place + 1)
            .limit(10_000)
            .map(place -> PlaceOrder.rank(Integer.toString(place)))
            .distinct()
            .count();
    assertEquals(10_000, ranks);
  }
}
