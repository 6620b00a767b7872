package arborline.core.duplicate;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * Puts tools together that may be one, the surest pairs first: each resembles the first of its
 * group. Tools that are kept apart are never in one group.
 */
public final class DuplicateGroups implements CandidatePairs.Pairs {

  private static final int PLACE_BITS = 28;
  private static final long PLACE = (1L << PLACE_BITS) - 1;
  private static final int SURE = 100;

  private final List<ComparedTool> tools;
  private final Tolerance tolerance;
  private final KeptApart apart;
  private final Map<Long, Integer> places = new HashMap<>();

  /** Pairs that may be one, as numbers that sort: doubt, place of the one, place of the other. */
  private long[] found = new long[1024];

  private int count;
  private long compared;

  private DuplicateGroups(List<ComparedTool> tools, Tolerance tolerance, KeptApart apart) {
    if (tools.size() > PLACE) {
      throw new IllegalArgumentException("too many tools: " + tools.size());
    }
    this.tools = tools;
    this.tolerance = tolerance;
    this.apart = apart;
    for (int place = 0; place < tools.size(); place++) {
      places.put(tools.get(place).id(), place);
    }
  }

  /** Hears how many pairs were compared, and may throw to stop. */
  public interface Progress {
    void compared(long pairs);
  }

  /** A tool of a group, and how sure it is that it is the first one. */
  public record Member(long id, int percent) {}

  private static final long TOLD_EACH = 50_000;

  /** Looks for groups: the surest first; in each the first tool, then the others by sureness. */
  public static List<List<Member>> find(
      List<ComparedTool> tools, Tolerance tolerance, KeptApart apart, Progress progress) {
    DuplicateGroups groups = new DuplicateGroups(tools, tolerance, apart);
    CandidatePairs.visit(
        tools,
        tolerance,
        (one, two) -> {
          groups.compare(one, two);
          if (groups.compared % TOLD_EACH == 0) {
            progress.compared(groups.compared);
          }
        });
    progress.compared(groups.compared);
    return groups.grouped();
  }

  @Override
  public void compare(ComparedTool one, ComparedTool two) {
    compared++;
    int percent = percent(one, two);
    if (percent < Resemblance.ASKED || apart.from(one.id()).contains(two.id())) {
      return;
    }
    if (count == found.length) {
      found = Arrays.copyOf(found, count * 2);
    }
    long first = places.get(one.id());
    long second = places.get(two.id());
    found[count++] =
        (long) (SURE - percent) << 2 * PLACE_BITS
            | Math.min(first, second) << PLACE_BITS
            | Math.max(first, second);
  }

  private int percent(ComparedTool one, ComparedTool two) {
    return Resemblance.of(one, two, tolerance).percent();
  }

  private List<List<Member>> grouped() {
    Arrays.sort(found, 0, count);
    Group[] groups = new Group[tools.size()];
    Set<Group> all = new LinkedHashSet<>();
    for (int i = 0; i < count; i++) {
      int one = (int) (found[i] >> PLACE_BITS & PLACE);
      int two = (int) (found[i] & PLACE);
      if (groups[one] == null && groups[two] == null) {
        Group group = new Group(one);
        all.add(group);
        groups[one] = group;
        enter(group, List.of(two), groups);
      } else if (groups[one] == null) {
        enter(groups[two], List.of(one), groups);
      } else if (groups[two] == null) {
        enter(groups[one], List.of(two), groups);
      } else if (groups[one] != groups[two]) {
        Group from = groups[two];
        if (enter(groups[one], from.all(), groups)) {
          all.remove(from);
        }
      }
    }
    return all.stream()
        .map(this::members)
        .sorted(
            Comparator.comparingInt((List<Member> members) -> -members.getFirst().percent())
                .thenComparing(members -> members.getFirst().id()))
        .toList();
  }

  /** Tools of a group by their places. */
  private static final class Group {
    private final int first;
    private final List<Integer> others = new ArrayList<>();
    private final List<Integer> percents = new ArrayList<>();

    private Group(int first) {
      this.first = first;
    }

    private List<Integer> all() {
      List<Integer> all = new ArrayList<>();
      all.add(first);
      all.addAll(others);
      return all;
    }
  }

  /** Takes tools into a group; none of them where one does not resemble its first. */
  private boolean enter(Group group, List<Integer> entering, Group[] groups) {
    List<Integer> percents = new ArrayList<>();
    for (int place : entering) {
      ComparedTool tool = tools.get(place);
      int percent = percent(tools.get(group.first), tool);
      boolean kept =
          apart.from(tool.id()).stream()
              .map(places::get)
              .anyMatch(other -> other != null && groups[other] == group);
      if (percent < Resemblance.ASKED || kept) {
        return false;
      }
      percents.add(percent);
    }
    group.others.addAll(entering);
    group.percents.addAll(percents);
    entering.forEach(place -> groups[place] = group);
    return true;
  }

  private List<Member> members(Group group) {
    List<Member> members = new ArrayList<>();
    for (int i = 0; i < group.others.size(); i++) {
      members.add(new Member(tools.get(group.others.get(i)).id(), group.percents.get(i)));
    }
    members.sort(
        Comparator.comparingInt((Member member) -> -member.percent()).thenComparing(Member::id));
    members.addFirst(new Member(tools.get(group.first).id(), members.getFirst().percent()));
    return members;
  }
}
