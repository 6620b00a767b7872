package arborline.server.machine;

import arborline.core.machine.Machine;
import arborline.core.machine.Numbering;
import arborline.core.table.TableEntry;
import arborline.core.table.TableField;
import arborline.server.live.Live;
import arborline.server.machine.Plans.Before;
import arborline.server.machine.Plans.PlaceBefore;
import arborline.server.support.Json;
import arborline.server.support.Refusal;
import arborline.server.tool.Tools.Held;
import arborline.server.trail.Trail;
import arborline.server.trail.TrailRecord;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Tool numbers of a plan: no two tools of a machine have one, but sisters do. */
@Service
public class PlanNumbers {

  private static final int HIGHEST = 99_999_999;

  private final Machines machines;
  private final PlanRepository places;
  private final PlanFit fit;
  private final JobKeeping jobs;
  private final Trail trail;
  private final Live live;
  private final Json json;

  PlanNumbers(
      Machines machines,
      PlanRepository places,
      PlanFit fit,
      JobKeeping jobs,
      Trail trail,
      Live live,
      Json json) {
    this.machines = machines;
    this.places = places;
    this.fit = fit;
    this.jobs = jobs;
    this.trail = trail;
    this.live = live;
    this.json = json;
  }

  private TableEntry entry(PlanPlace place) {
    return json.read(place.fields, TableEntry.class);
  }

  private @Nullable String text(PlanPlace place) {
    return entry(place).get(TableField.NUMBER);
  }

  /** What is odd about the number of a planned tool. */
  static Optional<String> question(Machine machine, TableEntry entry) {
    return Optional.ofNullable(entry.get(TableField.NUMBER))
        .flatMap(number -> machine.numbering().question(Long.parseLong(number)));
  }

  /** The number of a planned tool; 0 where it has none. */
  static long number(TableEntry entry) {
    return Long.parseLong(Optional.ofNullable(entry.get(TableField.NUMBER)).orElse("0"));
  }

  long number(PlanPlace place) {
    return number(entry(place));
  }

  /**
   * The offset number that a planned tool has until somebody says otherwise: its number; that of
   * its place where programs have numbers of their own.
   */
  static int offset(Machine machine, String place, TableEntry entry) {
    String number =
        machine.numbering().scheme() == Numbering.Scheme.PROGRAM_NUMBERS
            ? machine.number(place)
            : entry.get(TableField.NUMBER);
    return number == null || !number.matches("\\d{1,9}") ? 1 : Integer.parseInt(number);
  }

  int offset(Machine machine, PlanPlace place) {
    return offset(machine, place.place, entry(place));
  }

  /**
   * Code, number and name of a tool in a place. Its number is that of the place where these are
   * one; else the one that it has in the plan, else that of its library.
   *
   * @param entry what is kept of it already; a number in it stays
   */
  static TableEntry named(Machine machine, String place, Held known, TableEntry entry) {
    int own =
        known
            .number()
            .orElseThrow(
                () -> Refusal.conflict("%s is in no library now".formatted(known.tool().code())));
    String kept = entry.get(TableField.NUMBER);
    String number =
        machine.numbering().numberIsPlace()
            ? machine.number(place)
            : kept == null ? Integer.toString(own) : kept;
    return entry
        .with(TableField.TOOL, known.tool().code())
        .with(TableField.NUMBER, number)
        .with(TableField.NAME, machine.habits().fit(known.tool().name()));
  }

  /**
   * Gives tools that come in with a number that another tool has, or that is none of this machine,
   * its next free one: numbers are given apart in each library and for each kind of work.
   *
   * @param plan as it is to be
   * @param arriving those of it that come in
   * @return what was numbered otherwise, in sentences
   */
  List<String> settle(Machine machine, List<PlanPlace> plan, List<PlanPlace> arriving) {
    sisterNumbers(machine, plan, arriving);
    Map<Long, PlanPlace> taken = new HashMap<>();
    plan.stream()
        .filter(place -> !arriving.contains(place))
        .forEach(place -> taken.put(number(place), place));
    List<String> sentences = new ArrayList<>();
    for (PlanPlace place : arriving) {
      long own = number(place);
      settled(machine, place, own, taken)
          .ifPresent(why -> {
            long free = machine.numbering().nextFree(own, taken.keySet());
            place.fields = json.text(entry(place).with(TableField.NUMBER, Long.toString(free)));
            sentences.add(
                "number %d of its library is %s: it has %d here".formatted(own, why, free));
          });
      taken.putIfAbsent(number(place), place);
    }
    return sentences;
  }

  /** Tells pieces of one tool apart: each that comes in has a sister number that is free. */
  private void sisterNumbers(Machine machine, List<PlanPlace> plan, List<PlanPlace> arriving) {
    if (!machine.numbering().sisters()) {
      return;
    }
    List<PlanPlace> settled = new ArrayList<>(plan);
    settled.removeAll(arriving);
    for (PlanPlace place : arriving) {
      Set<Integer> taken =
          settled.stream()
              .filter(other -> other.toolId == place.toolId)
              .map(this::sister)
              .collect(Collectors.toSet());
      if (taken.contains(sister(place))) {
        int free =
            IntStream.iterate(1, next -> next + 1)
                .filter(n -> !taken.contains(n))
                .findFirst()
                .orElseThrow();
        place.fields = json.text(entry(place).with(TableField.SISTER, Integer.toString(free)));
      }
      settled.add(place);
    }
  }

  private int sister(PlanPlace place) {
    String sister = entry(place).get(TableField.SISTER);
    return sister == null ? 1 : Integer.parseInt(sister);
  }

  /** Why a tool cannot keep the number of its library; empty where it can. */
  private Optional<String> settled(
      Machine machine, PlanPlace place, long own, Map<Long, PlanPlace> taken) {
    if (machine.numbering().numberIsPlace()) {
      return Optional.empty();
    }
    PlanPlace other = taken.get(own);
    if (other != null) {
      return sisters(machine, place, other)
          ? Optional.empty()
          : Optional.of("that of %s in %s".formatted(fit.code(other), machine.words(other.place)));
    }
    return machine.numbering().question(own).map(outside -> "none of this machine");
  }

  /** Refuses a plan in which two tools have one number that are no sisters. */
  void refuseSame(Machine machine, List<PlanPlace> plan) {
    Map<String, PlanPlace> numbers = new HashMap<>();
    for (PlanPlace place : plan) {
      PlanPlace other = numbers.putIfAbsent(Objects.toString(text(place), ""), place);
      if (other != null && !sisters(machine, place, other)) {
        throw Refusal.conflict(
            "number %s is used by %s in %s; renumber one of them"
                .formatted(text(place), fit.code(other), machine.words(other.place)));
      }
    }
  }

  private static boolean sisters(Machine machine, PlanPlace one, PlanPlace other) {
    return machine.numbering().sisters() && one.toolId == other.toolId;
  }

  /**
   * Numbers for planned tools.
   *
   * @param places whose tools get them, in this order
   * @param first number of the first of them
   * @param step from each to the next
   */
  public record Sequence(List<String> places, int first, int step) {}

  /** The number that each place would have; refused as {@link #renumber} is. */
  @Transactional(readOnly = true)
  Map<String, Integer> look(String machineId, Sequence sequence) {
    return wanted(machines.get(machineId).machine(), sequence);
  }

  /**
   * Numbers planned tools anew. Sisters of one number stay sisters.
   *
   * @param changeJobs true where the lead lets jobs be changed by it
   * @return the line of the trail that takes it back
   */
  @Transactional
  public long renumber(String machineId, Sequence sequence, boolean changeJobs) {
    Machine machine = machines.lock(machineId).machine();
    Map<String, Integer> wanted = wanted(machine, sequence);
    JobKeeping.JobLoad found = jobs.before(machine);
    List<PlaceBefore> before = new ArrayList<>();
    for (PlanPlace place : places.findByMachineId(machineId)) {
      Integer number = wanted.get(place.place);
      if (number != null && number(place) != number) {
        String was = place.fields;
        place.fields = json.text(entry(place).with(TableField.NUMBER, Integer.toString(number)));
        places.save(place);
        before.add(
            new PlaceBefore(
                place.place, place.toolId, was, place.libraryId, place.toolId, place.fields));
      }
    }
    if (before.isEmpty()) {
      throw Refusal.conflict("they have these numbers already");
    }
    String although = jobs.refuseChanged(machine, found, changeJobs);
    live.say("machine", machineId, "plan");
    return trail.record(
        TrailRecord.of(
                "machine",
                machineId,
                "renumbered %s%s".formatted(TrailRecord.count(before.size(), "tool"), although))
            .undoneBy(PlanUndo.KIND, new Before(machineId, before)));
  }

  /** The new number of each place. */
  private Map<String, Integer> wanted(Machine machine, Sequence sequence) {
    if (machine.numbering().numberIsPlace()) {
      throw Refusal.conflict(
          "number and place are one at %s: move the tool to another place"
              .formatted(machine.name()));
    }
    List<PlanPlace> plan = places.findByMachineId(machine.id());
    Map<String, Integer> wanted = new LinkedHashMap<>();
    Set<String> named = new HashSet<>();
    long next = sequence.first();
    for (String place : sequence.places()) {
      if (!named.add(place)) {
        throw Refusal.badRequest("%s is named twice".formatted(machine.words(place)));
      }
      PlanPlace planned = named(machine, plan, place);
      if (!wanted.containsKey(place)) {
        int number = needWithin(machine.numbering(), next);
        plan.stream()
            .filter(one -> one == planned || sameGroup(machine, one, planned))
            .forEach(one -> wanted.put(one.place, number));
        next += sequence.step();
      }
    }
    plan.stream()
        .filter(place -> !wanted.containsKey(place.place))
        .forEach(other -> refuseTaken(machine, plan, wanted, other));
    return wanted;
  }

  private boolean sameGroup(Machine machine, PlanPlace one, PlanPlace other) {
    return sisters(machine, one, other) && Objects.equals(text(one), text(other));
  }

  private static PlanPlace named(Machine machine, List<PlanPlace> plan, String place) {
    return plan.stream()
        .filter(one -> one.place.equals(place))
        .findFirst()
        .orElseThrow(
            () -> Refusal.conflict("nothing is planned for %s".formatted(machine.words(place))));
  }

  private void refuseTaken(
      Machine machine, List<PlanPlace> plan, Map<String, Integer> wanted, PlanPlace other) {
    wanted.forEach((place, number) -> {
      if (number(other) == number && !sisters(machine, named(machine, plan, place), other)) {
        throw Refusal.conflict(
            "number %d is used by %s in %s; begin with another, or renumber that too"
                .formatted(number, fit.code(other), machine.words(other.place)));
      }
    });
  }

  private static int needWithin(Numbering numbering, long number) {
    new Numbering(numbering.scheme(), 1, HIGHEST)
        .question(number)
        .or(() -> numbering.question(number))
        .ifPresent(outside -> {
          throw Refusal.badRequest(outside);
        });
    return Math.toIntExact(number);
  }
}
