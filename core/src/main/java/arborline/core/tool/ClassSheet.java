package arborline.core.tool;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * What a tool class states about itself.
 *
 * @param id stable name in files and addresses
 * @param title what people call it
 * @param motion how such tools move while they cut
 * @param aliases other names under which it may arrive
 * @param designations symbols of designations from which other values follow; asked first
 * @param required symbols that must be known in the end
 * @param asked those of them that a list may leave out: a tool without them is asked about, not
 *     held
 * @param replaced a required symbol to others; where one of these is there, it is not needed
 * @param implications what follows from other values, the surest first
 * @param optional symbols that make sense for it
 * @param defaults trade defaults: symbol to entry text
 * @param rules what must or should hold
 */
public record ClassSheet(
    String id,
    String title,
    Process process,
    Motion motion,
    List<String> aliases,
    List<String> designations,
    Set<String> required,
    Set<String> asked,
    Map<String, List<String>> replaced,
    List<Implication> implications,
    Set<String> optional,
    Map<String, String> defaults,
    List<Rule> rules) {

  private static final List<String> ALWAYS_OPTIONAL =
      List.of("HAND", "FHA", "GRADE", "SUBSTRATE", "COATING", "RPMX", "TCDC", "CCMS", "WT");

  public static Builder named(String id, String title, Process process) {
    return new Builder(id, title, process);
  }

  /** True where a tool of this class is not known without the value: one by which others go. */
  public boolean needs(String symbol, Tool tool) {
    return required.contains(symbol)
        && replaced.getOrDefault(symbol, List.of()).stream().noneMatch(tool::has);
  }

  /** The title with its article: {@code an end mill}. */
  public String named() {
    return ("aeiou".indexOf(Character.toLowerCase(title.charAt(0))) >= 0 ? "an " : "a ") + title;
  }

  /** All symbols in the order in which a form asks for them. */
  public List<String> symbols() {
    Set<String> all = new LinkedHashSet<>(designations);
    all.addAll(required);
    all.addAll(optional);
    return List.copyOf(all);
  }

  /** Collects the statements of a class. */
  public static final class Builder {
    private final String id;
    private final String title;
    private final Process process;
    private Motion motion;
    private List<String> aliases = List.of();
    private List<String> designations = List.of();
    private final Set<String> required = new LinkedHashSet<>();
    private final Set<String> asked = new LinkedHashSet<>();
    private final Map<String, List<String>> replaced = new LinkedHashMap<>();
    private final List<Implication> implications = new ArrayList<>();
    private final Set<String> optional = new LinkedHashSet<>();
    private final Map<String, String> defaults = new LinkedHashMap<>();
    private final List<Rule> rules = new ArrayList<>();

    private Builder(String id, String title, Process process) {
      this.id = id;
      this.title = title;
      this.process = process;
      this.motion = process.motion();
    }

    /** Where it moves otherwise than most tools of its process. */
    public Builder moving(Motion other) {
      motion = other;
      return this;
    }

    public Builder also(String... names) {
      aliases = List.of(names);
      return this;
    }

    /** Optional values that say many others at once. */
    public Builder designatedBy(String... symbols) {
      designations = List.of(symbols);
      return allows(symbols);
    }

    public Builder requires(String... symbols) {
      required.addAll(List.of(symbols));
      return this;
    }

    /** What must be known in the end, but a vendor's or a shop's ordinary list leaves out. */
    public Builder asks(String... symbols) {
      asked.addAll(List.of(symbols));
      return requires(symbols);
    }

    /** A required symbol that is not needed where one of others is there. */
    public Builder replaces(String symbol, String... others) {
      replaced.put(symbol, List.of(others));
      return this;
    }

    /** Values that follow from others; what is stated first goes first. */
    public Builder implies(Implication... more) {
      implications.addAll(List.of(more));
      return this;
    }

    public Builder allows(String... symbols) {
      optional.addAll(List.of(symbols));
      return this;
    }

    public Builder defaults(String symbol, String text) {
      defaults.put(symbol, text);
      return this;
    }

    public Builder rules(Rule... more) {
      rules.addAll(List.of(more));
      return this;
    }

    public ClassSheet build() {
      optional.addAll(ALWAYS_OPTIONAL);
      optional.removeAll(required);
      return new ClassSheet(
          id,
          title,
          process,
          motion,
          aliases,
          designations,
          java.util.Collections.unmodifiableSet(required),
          java.util.Collections.unmodifiableSet(asked),
          java.util.Collections.unmodifiableMap(replaced),
          List.copyOf(implications),
          java.util.Collections.unmodifiableSet(optional),
          java.util.Collections.unmodifiableMap(defaults),
          List.copyOf(rules));
    }
  }
}
