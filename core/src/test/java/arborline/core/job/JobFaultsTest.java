package arborline.core.job;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.Collections;
import java.util.List;
import org.junit.jupiter.api.Test;

class JobFaultsTest {

  @Test
  void a_job_with_a_name_and_numbers_of_its_own_is_sound() {
    assertEquals(List.of(), JobFaults.of("Winch drum 32", "", List.of(1, 2, 12)));
  }

  @Test
  void two_tools_under_one_number_are_named_by_their_lines() {
    assertEquals(
        List.of("tools, lines 1 and 3: T1 calls one tool; give one of them another number"),
        JobFaults.of("Winch drum 32", "", List.of(1, 5, 1)));
  }

  @Test
  void numbers_below_one_and_names_without_a_letter_are_refused() {
    assertEquals(
        List.of(
            "name: say what the job is called", "tools, line 1: number 0 has to be 1 to 99999999"),
        JobFaults.of("  ", "", List.of(0)));
  }

  @Test
  void long_names_and_endless_lists_are_refused() {
    assertEquals(2, JobFaults.of("n".repeat(81), "p".repeat(81), List.of()).size());
    assertTrue(
        JobFaults.of("Bush set", "", Collections.nCopies(301, 1))
            .contains("tools: a job calls at most 300"));
  }
}
