package arborline.core.job;

import static org.junit.jupiter.api.Assertions.assertEquals;

import arborline.core.machine.Machine;
import arborline.core.machine.Numbering;
import arborline.core.machine.TestMachines;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.Test;

class CallNumbersTest {

  private static final Machine APART = TestMachines.heron(40);

  private static long number(Machine machine, Map<Long, Long> planned, long own) {
    return new CallNumbers(machine, planned, Set.of(7L)).take(1, own);
  }

  @Test
  void a_planned_tool_is_called_as_it_is_planned() {
    assertEquals(12, number(APART, Map.of(1L, 12L), 3));
  }

  @Test
  void a_tool_that_is_not_planned_keeps_the_number_of_its_library_where_that_is_free() {
    assertEquals(3, number(APART, Map.of(2L, 12L), 3));
    assertEquals(13, number(APART, Map.of(2L, 12L), 12), "another tool is planned by it");
    assertEquals(8, number(APART, Map.of(), 7), "the job calls another tool by it");
  }

  @Test
  void a_range_of_the_machine_is_kept() {
    assertEquals(601, number(TestMachines.cormorant(), Map.of(), 3));
    assertEquals(602, number(TestMachines.cormorant(), Map.of(2L, 601L), 3));
  }

  @Test
  void where_number_and_place_are_one_a_place_is_called() {
    Machine places =
        TestMachines.numbered(
            TestMachines.heron(8), new Numbering(Numbering.Scheme.NUMBER_IS_PLACE, null, null));
    assertEquals(3, number(places, Map.of(), 3));
    assertEquals(1, number(places, Map.of(), 99));
    assertEquals(2, number(places, Map.of(2L, 1L), 99));
  }

  @Test
  void no_number_is_given_twice() {
    CallNumbers numbers = new CallNumbers(APART, Map.of(), Set.of());
    assertEquals(3, numbers.take(1, 3));
    assertEquals(4, numbers.take(2, 3));
  }
}
