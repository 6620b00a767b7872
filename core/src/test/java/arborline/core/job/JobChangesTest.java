package arborline.core.job;

import static org.junit.jupiter.api.Assertions.assertEquals;

import java.util.List;
import org.junit.jupiter.api.Test;

class JobChangesTest {

  private static final OpenJob DRUM =
      new OpenJob(
          4,
          "Winch drum 32",
          List.of(new CalledTool(5, 70, "TH-0815"), new CalledTool(9, 71, "DR-0085")));

  private static LoadedTool tool(long id, long number) {
    return new LoadedTool(id, number, "");
  }

  private static List<String> changes(List<LoadedTool> before, List<LoadedTool> after) {
    return JobChanges.of(List.of(DRUM), before, after).stream().map(JobChange::sentence).toList();
  }

  @Test
  void a_tool_that_leaves_the_load_is_missed() {
    assertEquals(
        List.of("Winch drum 32 calls TH-0815 as T5, and it would not be in the load"),
        changes(List.of(tool(70, 5), tool(71, 9)), List.of(tool(71, 9))));
  }

  @Test
  void a_tool_under_another_number_is_not_found_by_the_program() {
    assertEquals(
        List.of("Winch drum 32 calls TH-0815 as T5, and it would be T7"),
        changes(List.of(tool(70, 5)), List.of(tool(70, 7), tool(80, 5))));
  }

  @Test
  void a_tool_that_is_turned_round_cuts_otherwise() {
    assertEquals(
        List.of(
            "Winch drum 32 calls TH-0815 as T5, held, along MAIN, and it would be driven, across MAIN"),
        changes(
            List.of(new LoadedTool(70, 5, "held, along MAIN")),
            List.of(new LoadedTool(70, 5, "driven, across MAIN"))));
  }

  @Test
  void one_of_several_sisters_may_go() {
    assertEquals(List.of(), changes(List.of(tool(70, 5), tool(70, 5)), List.of(tool(70, 5))));
  }

  @Test
  void what_the_job_did_not_find_before_holds_nothing_up() {
    assertEquals(List.of(), changes(List.of(tool(70, 6)), List.of()));
  }

  @Test
  void a_job_is_named_once_however_many_of_its_tools_go() {
    assertEquals(1, changes(List.of(tool(70, 5), tool(71, 9)), List.of()).size());
  }
}
