package arborline.core.merge;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import arborline.core.merge.MergeAnswers.Side;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import org.junit.jupiter.api.Test;

class LibraryMergeTest {

  private static MergeTool tool(String diameter, String... parts) {
    return new MergeTool(
        Map.of("class", new PlainText("mill"), "values.DC", new Amount(diameter, "mm")),
        new PartCodes(List.of(parts)));
  }

  private static MergeTool renamed(MergeTool tool, String was) {
    return new MergeTool(tool.fields(), tool.parts(), Optional.of(was));
  }

  private static LibraryMerge.Merged merge(
      Map<String, MergeTool> base,
      Map<String, MergeTool> theirs,
      Map<String, MergeTool> ours,
      MergeAnswers answers) {
    return LibraryMerge.merge(base, theirs, ours, answers);
  }

  private static List<String> asked(LibraryMerge.Merged merged) {
    return merged.conflicts().stream()
        .map(conflict -> conflict.code() + " " + conflict.field())
        .toList();
  }

  @Test
  void anAnswerDecidesWhoseValueStands() {
    Map<String, MergeTool> base = Map.of("A", tool("10"));
    Map<String, MergeTool> theirs = Map.of("A", tool("11"));
    Map<String, MergeTool> ours = Map.of("A", tool("12"));
    assertEquals(List.of("A values.DC"), asked(LibraryMerge.merge(base, theirs, ours)));
    LibraryMerge.Merged answered =
        merge(base, theirs, ours, MergeAnswers.NONE.with("a", "values.DC", Side.THEIRS));
    assertEquals(theirs, answered.tools());
    assertEquals(List.of(), answered.conflicts());
  }

  @Test
  void aRemovedPartThatALocalAssemblyNeedsStaysWhateverIsAnswered() {
    Map<String, MergeTool> base = Map.of("H", tool("40"), "C", tool("10"));
    Map<String, MergeTool> theirs = Map.of("C", tool("10"));
    Map<String, MergeTool> ours =
        Map.of("H", tool("40"), "C", tool("10"), "S", tool("10", "H", "C"));
    LibraryMerge.Merged answered =
        merge(base, theirs, ours, MergeAnswers.NONE.with("H", "*", Side.THEIRS));
    assertEquals(ours.keySet(), answered.tools().keySet());
    assertEquals(List.of("H *"), asked(answered));
    LibraryMerge.Merged keeping =
        merge(base, theirs, ours, MergeAnswers.NONE.with("H", "*", Side.OURS));
    assertEquals(ours.keySet(), keeping.tools().keySet());
    assertEquals(List.of(), keeping.conflicts());
  }

  @Test
  void aToolRenamedToTheCodeOfAnotherStaysUnderItsOwn() {
    Map<String, MergeTool> base = Map.of("A", tool("10"), "B", tool("20"));
    Map<String, MergeTool> theirs = Map.of("C", renamed(tool("10"), "A"), "B", tool("20"));
    Map<String, MergeTool> ours = Map.of("A", tool("10"), "B", tool("20"), "C", tool("30"));
    LibraryMerge.Merged merged = LibraryMerge.merge(base, theirs, ours);
    assertEquals(ours, merged.tools());
    assertEquals(
        List.of(
            new MergeConflict(
                "A",
                "code",
                Optional.of(new CodeText("A")),
                Optional.of(new CodeText("C")),
                Optional.of(new CodeText("A")))),
        merged.conflicts());
  }

  @Test
  void twoToolsRenamedToOneCodeBothStayUnderTheirOwn() {
    Map<String, MergeTool> base = Map.of("A", tool("10"), "B", tool("20"), "S", tool("1", "A"));
    Map<String, MergeTool> theirs =
        Map.of("Z", renamed(tool("10"), "A"), "B", tool("20"), "S", tool("1", "Z"));
    Map<String, MergeTool> ours =
        Map.of("A", tool("10"), "z", renamed(tool("20"), "B"), "S", tool("1", "A"));
    LibraryMerge.Merged merged = LibraryMerge.merge(base, theirs, ours);
    assertEquals(base, merged.tools());
    assertEquals(List.of("A code", "B code"), asked(merged));
  }

  @Test
  void anotherLetterCaseOfACodeIsAChangeOfWritingOnly() {
    Map<String, MergeTool> base = Map.of("EM-1", tool("10"), "EM-2", tool("20"));
    Map<String, MergeTool> theirs = Map.of("em-1", renamed(tool("10"), "EM-1"));
    Map<String, MergeTool> ours = Map.of("EM-1", tool("10"), "em-2", tool("20.0"));
    LibraryMerge.Merged merged = LibraryMerge.merge(base, theirs, ours);
    assertEquals(Set.of("em-1"), merged.tools().keySet());
    assertEquals(List.of(), merged.conflicts());
  }

  @Test
  void whatIsDifferentUnderOneNewCodeIsOneQuestion() {
    Map<String, MergeTool> theirs = Map.of("N", tool("10"));
    Map<String, MergeTool> ours =
        Map.of("n", new MergeTool(Map.of("class", new PlainText("drill")), PartCodes.NONE));
    LibraryMerge.Merged merged = LibraryMerge.merge(Map.of(), theirs, ours);
    assertEquals(new TreeMap<>(ours), merged.tools());
    assertEquals(List.of("n *"), asked(merged));
    assertEquals(
        theirs,
        merge(Map.of(), theirs, ours, MergeAnswers.NONE.with("n", "*", Side.THEIRS)).tools());
  }

  @Test
  void sizesAreComparedExactlyAndWordsToTheLetter() {
    assertTrue(new Amount("12.70", "mm").sameSize(new Amount("1/2", "in")));
    assertTrue(new Amount("4", "").sameSize(new Amount("4.0", "")));
    assertFalse(new Amount("4", "").sameSize(new Amount("4", "mm")));
    assertFalse(new Amount("10", "mm").sameSize(new Amount("0.3937", "in")));
    assertFalse(new Amount("M8", "").sameSize(new Amount("m8", "")));
    assertTrue(new Amount("5", "shore").sameSize(new Amount("5.0", "shore")));
    assertFalse(new Amount("5", "shore").sameSize(new Amount("5", "rockwell")));
  }
}
