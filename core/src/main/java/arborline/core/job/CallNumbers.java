package arborline.core.job;

import arborline.core.machine.Machine;
import java.util.HashSet;
import java.util.Map;
import java.util.Set;
import java.util.stream.LongStream;

/**
 * Numbers by which a job calls tools that come without one: that which the tool has in the load of
 * the machine, else that of its library, else the next free one that a program can call there.
 */
public final class CallNumbers {

  private final Machine machine;
  private final Map<Long, Long> planned;
  private final Set<Long> taken;

  /**
   * Numbers of one job.
   *
   * @param planned numbers of the load of the machine, by tool
   * @param taken numbers that the job calls already
   */
  public CallNumbers(Machine machine, Map<Long, Long> planned, Set<Long> taken) {
    this.machine = machine;
    this.planned = Map.copyOf(planned);
    this.taken = new HashSet<>(taken);
  }

  /**
   * A number for a tool, which is taken from then on.
   *
   * @param own its number in its library, or 1
   */
  public long take(long tool, long own) {
    long number = number(tool, own);
    taken.add(number);
    return number;
  }

  private long number(long tool, long own) {
    Long there = planned.get(tool);
    if (there != null && !taken.contains(there)) {
      return there;
    }
    Set<Long> others = new HashSet<>(taken);
    others.addAll(planned.values());
    return !others.contains(own) && mayCall(own) ? own : next(own, others);
  }

  /** True for a number that a program can call: where it is that of a place there has to be one. */
  private boolean mayCall(long number) {
    return machine.numbering().numberIsPlace()
        ? places().anyMatch(place -> place == number)
        : machine.numbering().question(number).isEmpty();
  }

  private long next(long own, Set<Long> others) {
    return places()
        .filter(place -> machine.numbering().numberIsPlace() && !others.contains(place))
        .findFirst()
        .orElseGet(() -> machine.numbering().nextFree(own, others));
  }

  private LongStream places() {
    return machine.places().stream().map(machine::number).mapToLong(Long::parseLong);
  }
}
