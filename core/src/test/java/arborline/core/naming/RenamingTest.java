package arborline.core.naming;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import arborline.core.naming.Renaming.Known;
import arborline.core.naming.Renaming.State;
import arborline.core.naming.Renaming.Step;
import arborline.core.tool.Sample;
import arborline.core.tool.Tool;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;

class RenamingTest {

  private static Known mill(long id, String code, String diameter) {
    Tool tool =
        Sample.tool("CLASS=end-mill-flat DC=%s APMX=22 DMM=10 OAL=72 NOF=4".formatted(diameter));
    return new Known(id, tool.named(code, "Mill " + diameter));
  }

  private static Renaming renaming(String codes, String names, String... taken) {
    return new Renaming(
        Optional.of(codes)
            .filter(text -> !text.isEmpty())
            .flatMap(text -> NamePattern.read(text).pattern()),
        Optional.of(names)
            .filter(text -> !text.isEmpty())
            .flatMap(text -> NamePattern.read(text).pattern()),
        Set.of(taken)::contains);
  }

  @Test
  void whatFitsIsLeftAlone() {
    Step step =
        renaming("EM{DC}-{NO 2}", "Mill {DC}").plan(List.of(mill(1, "EM6-44", "6"))).getFirst();
    assertEquals(State.FITS, step.state());
    assertEquals("EM6-44", step.newCode());
  }

  @Test
  void runningNumbersSkipWhatIsTakenAndWhatWasJustGiven() {
    List<Step> steps =
        renaming("EM{DC}-{NO}", "", "EM6-1", "EM6-3")
            .plan(List.of(mill(1, "A", "6"), mill(2, "B", "6"), mill(3, "C", "8")));
    assertEquals(List.of("EM6-2", "EM6-4", "EM8-1"), steps.stream().map(Step::newCode).toList());
  }

  @Test
  void withoutARunningNumberTheSecondClashes() {
    List<Step> steps = renaming("EM{DC}", "").plan(List.of(mill(1, "A", "6"), mill(2, "B", "6")));
    assertEquals(List.of(State.CHANGES, State.CLASHES), steps.stream().map(Step::state).toList());
    assertTrue(steps.getLast().why().contains("never given twice"));
  }

  @Test
  void aChangeOfLetterCaseIsNoClashWithItself() {
    Step step = renaming("EM{DC}", "", "EM6").plan(List.of(mill(1, "em6", "6"))).getFirst();
    assertEquals(State.CHANGES, step.state());
    assertEquals("EM6", step.newCode());
  }

  @Test
  void saysWhichPropertyIsMissing() {
    Step step = renaming("EM{DC}-{COATING}", "{LU}").plan(List.of(mill(1, "A", "6"))).getFirst();
    assertEquals(State.LACKS, step.state());
    assertEquals("name needs LU; code needs COATING", step.why());
    assertEquals("A", step.newCode());
  }

  @Test
  void codesHaveNoWhiteSpaceAndAnEnd() {
    Renaming spaced = renaming("{CLASS}-{DC}", "");
    assertEquals("Flat-end-mill-6", spaced.plan(List.of(mill(1, "A", "6"))).getFirst().newCode());
    Step tooLong =
        renaming("X".repeat(70) + "{DC}", "").plan(List.of(mill(1, "A", "6"))).getFirst();
    assertEquals(State.LACKS, tooLong.state());
    assertTrue(tooLong.why().contains("71 characters, 60 are possible"));
  }

  @Test
  void proposesTheCodeOfANewTool() {
    assertEquals(
        Optional.of("EM6-002"),
        renaming("EM{DC}-{NO 3}", "", "EM6-001").nextCode(mill(0, "", "6").tool()).text());
    assertEquals(Optional.empty(), renaming("", "").nextCode(mill(0, "", "6").tool()).text());
  }
}
