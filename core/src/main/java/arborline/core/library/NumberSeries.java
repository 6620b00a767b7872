package arborline.core.library;

import arborline.core.tool.Process;
import java.util.BitSet;
import java.util.EnumMap;
import java.util.Map;
import java.util.OptionalInt;

/** Gives out tool numbers of one library, none of them twice within a process. */
public final class NumberSeries {

  private final Numbering numbering;
  private final NumberPlan plan;
  private final Map<LibraryProcess, BitSet> used = new EnumMap<>(LibraryProcess.class);

  public NumberSeries(Numbering numbering, NumberPlan plan) {
    this.numbering = numbering;
    this.plan = plan;
  }

  /** Notes a number that a tool has already. */
  public void taken(LibraryProcess process, int number) {
    if (number > 0) {
      used(process).set(number);
    }
  }

  private BitSet used(LibraryProcess process) {
    return used.computeIfAbsent(
        process,
        one -> {
          BitSet numbers = new BitSet();
          numbers.set(0);
          return numbers;
        });
  }

  /**
   * Gives a tool a number of its own.
   *
   * @return false where another tool has it, or no tool can
   */
  public boolean claim(int number, Process process) {
    BitSet numbers = used(plan.processes().numbersWith(process));
    boolean free = free(numbers, OptionalInt.of(number));
    if (free) {
      numbers.set(number);
    }
    return free;
  }

  /**
   * The number for the next tool. Where the library keeps a range for its class or process, the
   * next free number is the next one in that range.
   *
   * @param wanted the number it came with
   * @param position of the tool among those that enter, from 1
   * @return nothing where the range is full
   */
  public OptionalInt next(OptionalInt wanted, String classId, Process process, int position) {
    BitSet numbers = used(plan.processes().numbersWith(process));
    NumberRange range =
        plan.range(classId, process)
            .orElseGet(() ->
                numbering == Numbering.RANGE
                    ? NumberPlan.usual(process)
                    : new NumberRange("", 1, NumberRange.LARGEST));
    OptionalInt number =
        switch (numbering) {
          case KEEP -> wanted.isPresent() && free(numbers, wanted) ? wanted : free(numbers, range);
          case NEXT, RANGE -> free(numbers, range);
          case POSITION ->
              numbers.get(position)
                  ? free(numbers, new NumberRange("", position, NumberRange.LARGEST))
                  : OptionalInt.of(position);
        };
    number.ifPresent(numbers::set);
    return number;
  }

  private static boolean free(BitSet numbers, OptionalInt number) {
    int wanted = number.getAsInt();
    return wanted > 0 && wanted <= NumberRange.LARGEST && !numbers.get(wanted);
  }

  private static OptionalInt free(BitSet numbers, NumberRange range) {
    int next = numbers.nextClearBit(range.first());
    return next <= range.last() ? OptionalInt.of(next) : OptionalInt.empty();
  }
}
