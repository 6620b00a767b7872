package arborline.core.merge;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import arborline.core.library.Codes;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.SortedMap;
import java.util.TreeMap;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;

/** What holds of every merge, over libraries at random. */
class MergeLawsTest {

  private static final int RUNS = 1_000;

  private record Case(
      long seed,
      SortedMap<String, MergeTool> base,
      SortedMap<String, MergeTool> theirs,
      SortedMap<String, MergeTool> ours) {

    static Case of(long seed) {
      MergeLibraries libraries = new MergeLibraries(seed);
      SortedMap<String, MergeTool> base = libraries.library();
      return new Case(seed, base, libraries.changed(base), libraries.changed(base));
    }

    LibraryMerge.Merged merged() {
      return LibraryMerge.merge(base, theirs, ours);
    }

    /** What a tool of the base is called on either side. */
    Set<String> codesOf(String code) {
      Set<String> codes = new HashSet<>(Set.of(code));
      for (Map<String, MergeTool> side : List.of(theirs, ours)) {
        side.forEach((now, tool) -> {
          if (tool.was().filter(code::equals).isPresent()) {
            codes.add(now);
          }
        });
      }
      return codes;
    }

    String say(String law) {
      return "%s, seed %d".formatted(law, seed);
    }
  }

  @Test
  void takingInNothingChangesNothing() {
    for (long seed = 0; seed < RUNS; seed++) {
      Case one = Case.of(seed);
      LibraryMerge.Merged nothingNew = LibraryMerge.merge(one.base, one.base, one.ours);
      assertEquals(MergeLibraries.settled(one.ours), nothingNew.tools(), one.say("ours"));
      assertEquals(List.of(), nothingNew.conflicts(), one.say("ours"));
      LibraryMerge.Merged nothingOwn = LibraryMerge.merge(one.base, one.theirs, one.base);
      assertEquals(MergeLibraries.settled(one.theirs), nothingOwn.tools(), one.say("theirs"));
      assertEquals(List.of(), nothingOwn.conflicts(), one.say("theirs"));
    }
  }

  @Test
  void changesOfDifferentToolsAreJoinedInAnyOrder() {
    for (long seed = 0; seed < RUNS; seed++) {
      MergeLibraries libraries = new MergeLibraries(seed);
      SortedMap<String, MergeTool> base = libraries.library();
      SortedMap<String, MergeTool> one = libraries.changedAmong(base, 0);
      SortedMap<String, MergeTool> other = libraries.changedAmong(base, 1);
      LibraryMerge.Merged merged = LibraryMerge.merge(base, one, other);
      SortedMap<String, MergeTool> expected = new TreeMap<>(one);
      other.forEach((code, tool) -> {
        if (!tool.equals(base.get(code))) {
          expected.put(code, tool);
        }
      });
      assertEquals(expected, merged.tools());
      assertEquals(merged, LibraryMerge.merge(base, other, one));
      assertEquals(List.of(), merged.conflicts());
    }
  }

  /**
   * Of codes and whole tools it does: ours stands until answered, and its code may be that of
   * another tool, its parts may be ones that the other side removed.
   */
  @Test
  void whatIsAskedOfFieldsDoesNotDependOnWhoIsOurs() {
    for (long seed = 0; seed < RUNS; seed++) {
      Case one = Case.of(seed);
      assertEquals(
          askedOfFields(one.merged()),
          askedOfFields(LibraryMerge.merge(one.base, one.ours, one.theirs)),
          one.say("questions"));
    }
  }

  private static Set<String> askedOfFields(LibraryMerge.Merged merged) {
    return asked(merged).stream()
        .filter(question ->
            !question.endsWith(" " + MergeConflict.CODE)
                && !question.endsWith(" " + MergeConflict.WHOLE_TOOL))
        .collect(Collectors.toSet());
  }

  private static Set<String> asked(LibraryMerge.Merged merged) {
    return merged.conflicts().stream()
        .map(conflict -> Codes.key(conflict.code()) + " " + conflict.field())
        .collect(Collectors.toSet());
  }

  @Test
  void noAssemblyLosesAPartAndNoCodeIsThereTwice() {
    for (long seed = 0; seed < RUNS; seed++) {
      Case one = Case.of(seed);
      SortedMap<String, MergeTool> merged = one.merged().tools();
      Set<String> keys = merged.keySet().stream().map(Codes::key).collect(Collectors.toSet());
      assertEquals(merged.size(), keys.size(), one.say("codes"));
      merged.forEach((code, tool) ->
          tool.parts()
              .codes()
              .forEach(
                  part -> assertTrue(merged.containsKey(part), one.say(code + " of " + part))));
    }
  }

  @Test
  void everyChangeStandsOrIsAsked() {
    for (long seed = 0; seed < RUNS; seed++) {
      Case one = Case.of(seed);
      LibraryMerge.Merged merged = one.merged();
      Set<String> asked = asked(merged);
      for (Map<String, MergeTool> side : List.of(one.theirs, one.ours)) {
        one.base.forEach((code, before) -> {
          MergeTool after = side.get(code);
          MergeTool joined = merged.tools().get(code);
          if (after == null || joined == null || asked.contains(Codes.key(code) + " *")) {
            return;
          }
          Set<String> names = new HashSet<>(before.fields().keySet());
          names.addAll(after.fields().keySet());
          for (String name : names) {
            MergeField was = before.fields().get(name);
            MergeField is = after.fields().get(name);
            MergeField stands = joined.fields().get(name);
            boolean followed = same(was, is) || same(is, stands);
            boolean question = asked.contains(Codes.key(code) + " " + name);
            boolean proven =
                stands instanceof CuttingLineField line && line.origin().equals("proven");
            assertTrue(followed || question || proven, one.say(code + " " + name));
          }
        });
      }
    }
  }

  private static boolean same(MergeField one, MergeField other) {
    return one == null || other == null ? one == other : one.sameSize(other);
  }

  @Test
  void whoAnswersEverythingForOneSideIsAskedNoMoreButForPartsInUse() {
    for (long seed = 0; seed < RUNS; seed++) {
      Case one = Case.of(seed);
      for (MergeAnswers.Side side : MergeAnswers.Side.values()) {
        LibraryMerge.Merged answered =
            LibraryMerge.merge(one.base, one.theirs, one.ours, all(one.merged(), side));
        for (MergeConflict left : answered.conflicts()) {
          Set<String> codes = one.codesOf(left.code());
          boolean used =
              answered.tools().values().stream()
                  .anyMatch(tool -> tool.parts().codes().stream().anyMatch(codes::contains));
          boolean held = left.field().equals(MergeConflict.CODE);
          assertTrue(
              held || left.field().equals(MergeConflict.WHOLE_TOOL) && used,
              one.say(side + " " + left));
        }
      }
    }
  }

  private static MergeAnswers all(LibraryMerge.Merged merged, MergeAnswers.Side side) {
    MergeAnswers answers = MergeAnswers.NONE;
    for (MergeConflict conflict : merged.conflicts()) {
      answers = answers.with(conflict.code(), conflict.field(), side);
    }
    return answers;
  }
}
