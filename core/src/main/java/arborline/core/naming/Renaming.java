package arborline.core.naming;

import arborline.core.library.Codes;
import arborline.core.library.VisibleText;
import arborline.core.tool.Tool;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;

/** What the patterns of a library make of its tools, before anything is changed. */
public final class Renaming {

  /** Longest code. */
  public static final int LONGEST_CODE = 60;

  /** Longest name. */
  public static final int LONGEST_NAME = 200;

  /** How a tool stands to the patterns. */
  public enum State {
    /** Code and name are as the patterns say. */
    FITS,
    /** Code or name would change. */
    CHANGES,
    /** A property is missing, or the result is no good code. */
    LACKS,
    /** The code it would get belongs, belonged or is promised to another. */
    CLASHES
  }

  /** A tool of the shop. */
  public record Known(long id, Tool tool) {}

  /**
   * Before and after of one tool.
   *
   * @param why what is in the way; empty where nothing is
   */
  public record Step(
      long id, String code, String newCode, String name, String newName, State state, String why) {}

  private final Optional<NamePattern> codes;
  private final Optional<NamePattern> names;
  private final Predicate<String> taken;
  private final Set<String> given = new HashSet<>();
  private final Map<String, Integer> counters = new HashMap<>();

  /**
   * Prepares a renaming.
   *
   * @param taken whether a code key is, was or is promised to be somebody's
   */
  public Renaming(
      Optional<NamePattern> codes, Optional<NamePattern> names, Predicate<String> taken) {
    this.codes = codes;
    this.names = names;
    this.taken = taken;
  }

  /** Steps in the order of the tools; the first of two that want the same code gets it. */
  public List<Step> plan(List<Known> tools) {
    return tools.stream().map(this::step).toList();
  }

  /** The code that a tool without one would get. */
  public NamePattern.Filled nextCode(Tool tool) {
    return codes
        .map(pattern -> free(pattern, tool))
        .orElse(new NamePattern.Filled(Optional.empty(), List.of()));
  }

  private Step step(Known known) {
    Tool tool = known.tool();
    List<String> wrong = new ArrayList<>();
    boolean clash = false;
    String name = tool.name();
    if (names.isPresent() && !names.get().fits(tool, name)) {
      NamePattern.Filled filled = names.get().fill(tool, 1);
      name = filled.text().orElse(name);
      lacking("name", filled, wrong);
      tooLong("name", name, LONGEST_NAME, wrong);
      VisibleText.fault("the name", name).ifPresent(wrong::add);
    }
    String code = tool.code();
    if (codes.isPresent() && !codes.get().fits(tool, code)) {
      NamePattern.Filled filled = free(codes.get(), tool);
      lacking("code", filled, wrong);
      if (filled.text().isPresent()) {
        code = filled.text().get();
        clash = !sameCode(code, tool.code()) && used(code);
        unusable(code, wrong);
      }
    }
    if (clash) {
      wrong.add(
          "code %s is another tool's, was, or is reserved; a code is never given twice"
              .formatted(code));
    }
    State state =
        clash
            ? State.CLASHES
            : !wrong.isEmpty()
                ? State.LACKS
                : code.equals(tool.code()) && name.equals(tool.name()) ? State.FITS : State.CHANGES;
    if (state == State.CHANGES) {
      given.add(Codes.key(code));
    }
    return new Step(
        known.id(), tool.code(), code, tool.name(), name, state, String.join("; ", wrong));
  }

  private NamePattern.Filled free(NamePattern pattern, Tool tool) {
    String counter = pattern.fill(tool, 0).text().orElse("");
    int number = counters.getOrDefault(counter, 1);
    NamePattern.Filled filled = codeOf(pattern, tool, number);
    while (pattern.running() && filled.text().filter(this::used).isPresent()) {
      filled = codeOf(pattern, tool, ++number);
    }
    counters.put(counter, number);
    return filled;
  }

  /** A code holds no white space: what a property brings along becomes a hyphen. */
  private static NamePattern.Filled codeOf(NamePattern pattern, Tool tool, int number) {
    NamePattern.Filled filled = pattern.fill(tool, number);
    return new NamePattern.Filled(
        filled.text().map(text -> text.replaceAll("\\s+", "-")), filled.missing());
  }

  private boolean used(String code) {
    String key = Codes.key(code);
    return given.contains(key) || taken.test(key);
  }

  private static boolean sameCode(String one, String other) {
    return Codes.key(one).equals(Codes.key(other));
  }

  private static void lacking(String what, NamePattern.Filled filled, List<String> wrong) {
    if (!filled.missing().isEmpty()) {
      wrong.add("%s needs %s".formatted(what, String.join(", ", filled.missing())));
    }
  }

  private static void unusable(String code, List<String> wrong) {
    if (code.isBlank()) {
      wrong.add("the code would be empty");
    }
    Codes.fault(code).ifPresent(wrong::add);
    tooLong("code", code, LONGEST_CODE, wrong);
  }

  private static void tooLong(String what, String text, int most, List<String> wrong) {
    if (text.length() > most) {
      wrong.add(
          "the %s would have %d characters, %d are possible".formatted(what, text.length(), most));
    }
  }
}
