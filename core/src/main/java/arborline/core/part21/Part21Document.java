package arborline.core.part21;

import arborline.core.exchange.TextHead;
import arborline.core.exchange.UnreadableFileException;
import java.util.AbstractList;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.IntStream;

/**
 * All statements of an exchange file by their numbers, read with whatever faults it has. Source:
 * ISO 10303-21, with the sections of its third edition.
 */
public final class Part21Document {

  /** From here on a file holds more than anybody looks at. */
  static final int MOST_INSTANCES = 2_000_000;

  /** How many lines are taken out of one statement to make sense of it. */
  private static final int MOST_LINES_OUT = 20;

  /** A file with more lines that are no statements is no exchange file. */
  private static final int MOST_GARBAGE = 1000;

  private static final String START = "ISO-10303-21";
  private static final String END = "END-" + START;
  private static final Pattern EXTERNAL =
      Pattern.compile("\\s*#(\\d{1,18})\\s*=\\s*<.*", Pattern.DOTALL);

  /** So many instances are kept as read; more are read again whenever they are asked for. */
  private static final int MOST_KEPT = 250_000;

  private final char[] text;
  private final StatementTexts texts;
  private final Names names = new Names();
  private final InstanceTable numbers = new InstanceTable();
  private final Map<String, Places> byName = new HashMap<>();
  private final ForwardReferences forward = new ForwardReferences(numbers);

  /** Which text each instance is. */
  private int[] textOf = new int[1024];

  private int size;

  /** The first instances as read. */
  private final List<Statement> first = new ArrayList<>();

  /** Those behind them that had to be repaired, by their places. */
  private final Map<Integer, Statement> repairs = new HashMap<>();

  private final List<Statement> header = new ArrayList<>();
  private final Set<Long> external = new HashSet<>();
  private final Set<Long> twice = new HashSet<>();
  private final List<Part21Fault> faults = new ArrayList<>();
  private final Set<Long> garbageLines = new HashSet<>();
  private String section = "";

  private Part21Document(char[] text) {
    this.text = text;
    this.texts = new StatementTexts(text);
  }

  /**
   * Reads a file.
   *
   * @throws UnreadableFileException where it is no exchange file, or holds more than can be
   */
  public static Part21Document read(byte[] file) throws UnreadableFileException {
    char[] text = TextHead.sniff(file).decode(file).toCharArray();
    if (!startsWith(text)) {
      throw new UnreadableFileException(
          "line 1: this is no file of ISO 10303-21: it begins otherwise");
    }
    Part21Document document = new Part21Document(text);
    document.takeAll();
    document.close();
    document.danglingReferences();
    document.faults.sort(Comparator.comparingLong(Part21Fault::line));
    return document;
  }

  private void takeAll() throws UnreadableFileException {
    for (int i = 0; i < texts.size(); i++) {
      take(i);
      if (garbageLines.size() > MOST_GARBAGE) {
        throw new UnreadableFileException(
            "line %d: more than %d lines are no statements: this is no exchange file"
                .formatted(texts.line(i), MOST_GARBAGE));
      }
      if (size > MOST_INSTANCES) {
        throw new UnreadableFileException(
            "line %d: more than %d instances".formatted(texts.line(i), MOST_INSTANCES));
      }
    }
  }

  /** Instances in the order of the file; of a number that stands twice both. */
  public List<Statement> statements() {
    return new Statements();
  }

  private final class Statements extends AbstractList<Statement> {
    @Override
    public Statement get(int place) {
      return statement(place);
    }

    @Override
    public int size() {
      return size;
    }
  }

  private Statement statement(int place) {
    Statement known = place < first.size() ? first.get(place) : repairs.get(place);
    if (known != null) {
      return known;
    }
    try {
      return parsed(textOf[place]);
    } catch (FaultyStatementException impossible) {
      throw new IllegalStateException(impossible);
    }
  }

  private Statement parsed(int index) throws FaultyStatementException {
    int end = Math.min(texts.end(index) + 1, text.length);
    return new StatementParser(text, texts.start(index), end, texts.line(index), names).statement();
  }

  public Optional<Statement> instance(long id) {
    int place = numbers.place(id);
    return place < 0 ? Optional.empty() : Optional.of(statement(place));
  }

  /** Instances of an entity in the order of the file, also as one of several partial ones. */
  public List<Statement> named(String name) {
    int[] places = byName.getOrDefault(name, Places.NONE).all();
    List<Statement> named = new ArrayList<>(places.length);
    for (int place : places) {
      named.add(statement(place));
    }
    return named;
  }

  /** The names of all entities. */
  public Set<String> names() {
    return byName.keySet();
  }

  /** True where two different statements stand under a number. */
  boolean twice(long id) {
    return twice.contains(id);
  }

  public List<Part21Fault> faults() {
    return faults;
  }

  /** The statement of the header with a name, such as {@code FILE_NAME}. */
  public Optional<Entity> header(String name) {
    return header.stream().flatMap(statement -> statement.entity(name).stream()).findFirst();
  }

  private static boolean startsWith(char[] text) {
    int at = 0;
    while (at < text.length && Character.isWhitespace(text[at])) {
      at++;
    }
    return text.length - at >= START.length() && new String(text, at, START.length()).equals(START);
  }

  private void take(int index) {
    boolean instance = text[texts.start(index)] == '#';
    if (instance && section.equals("DATA")) {
      parse(index);
    } else {
      word(index, texts.text(index).strip());
    }
  }

  private void word(int index, String word) {
    if (word.equals(START) || sectionWord(texts.line(index), word)) {
      return;
    }
    if (section.equals("REFERENCE")) {
      external(word);
    } else if (!section.equals("ANCHOR") && !section.equals("SIGNATURE")) {
      parse(index);
    }
  }

  /** Takes a word that ends a section or begins one; false where it is none. */
  private boolean sectionWord(int line, String word) {
    if (word.startsWith(END)) {
      closeSection(line);
      section = END;
    } else if (word.equals("ENDSEC")) {
      section = "";
    } else if (begins(word)) {
      closeSection(line);
      section = word.replaceFirst("\\W.*", "");
    } else {
      return false;
    }
    return true;
  }

  private static boolean begins(String text) {
    return text.equals("HEADER")
        || text.equals("ANCHOR")
        || text.equals("REFERENCE")
        || text.equals("SIGNATURE")
        || text.equals("DATA")
        || text.startsWith("DATA(")
        || text.startsWith("DATA (");
  }

  private void closeSection(int line) {
    if (!section.isEmpty() && !section.equals(END)) {
      faults.add(
          new Part21Fault(
              line, Part21Fault.MISSING_ENDSEC, "the section before is not closed by ENDSEC"));
    }
  }

  private void close() {
    int end = text.length;
    while (end > 0 && Character.isWhitespace(text[end - 1])) {
      end--;
    }
    int last = 1;
    for (int i = 0; i < end; i++) {
      last += text[i] == '\n' ? 1 : 0;
    }
    closeSection(last);
  }

  private void external(String text) {
    Matcher named = EXTERNAL.matcher(text);
    if (named.matches()) {
      external.add(Long.parseLong(named.group(1)));
    }
  }

  /** Reads a statement; where it is none, what is left of it without the lines that are none. */
  private void parse(int index) {
    try {
      keep(parsed(index), index, false);
    } catch (FaultyStatementException fault) {
      repair(index);
    }
  }

  /** Reads a statement; lines that make none of it are taken out, one after the other. */
  private void repair(int index) {
    int first = texts.line(index);
    String[] lines = texts.text(index).split("\n", -1);
    Set<Integer> out = new HashSet<>();
    while (out.size() <= Math.min(lines.length - 1, MOST_LINES_OUT)) {
      if (endsSection(first, lines, out)) {
        return;
      }
      try {
        Optional<Statement> read = parsed(first, lines, out);
        read.ifPresent(statement -> keep(statement, index, true));
        return;
      } catch (FaultyStatementException fault) {
        int wrong = Math.clamp(fault.line() - first, 0, lines.length - 1);
        while (out.contains(wrong) && wrong > 0) {
          wrong--;
        }
        if (!out.add(wrong)) {
          break;
        }
        garbage(first + wrong, fault.getMessage());
      }
    }
  }

  /** What is left may be the word that ends a section or begins the next. */
  private boolean endsSection(int first, String[] lines, Set<Integer> out) {
    List<Integer> left =
        IntStream.range(0, lines.length)
            .filter(i -> !out.contains(i) && !lines[i].isBlank())
            .boxed()
            .toList();
    String word = left.size() == 1 ? lines[left.getFirst()].strip() : "";
    return sectionWord(left.isEmpty() ? first : first + left.getFirst(), word);
  }

  private Optional<Statement> parsed(int first, String[] lines, Set<Integer> out)
      throws FaultyStatementException {
    StringBuilder rest = new StringBuilder();
    for (int i = 0; i < lines.length; i++) {
      rest.append(out.contains(i) ? "" : lines[i]).append('\n');
    }
    if (rest.toString().isBlank()) {
      return Optional.empty();
    }
    char[] left = rest.append(';').toString().toCharArray();
    return Optional.of(new StatementParser(left, 0, left.length, first, names).statement());
  }

  private void garbage(long line, String why) {
    if (garbageLines.add(line)) {
      faults.add(new Part21Fault(line, Part21Fault.GARBAGE, "this is no statement: " + why));
    }
  }

  private void keep(Statement statement, int index, boolean repaired) {
    if (statement.id() == 0) {
      header.add(statement);
      return;
    }
    if (size == textOf.length) {
      textOf = Arrays.copyOf(textOf, 2 * size);
    }
    int place = size++;
    textOf[place] = index;
    if (place < MOST_KEPT) {
      first.add(statement);
    } else if (repaired) {
      repairs.put(place, statement);
    }
    forward.add(statement, place);
    for (Entity entity : statement.entities()) {
      byName.computeIfAbsent(entity.name(), key -> new Places()).add(place);
    }
    int before = numbers.add(statement.id(), place);
    if (before >= 0) {
      duplicate(statement, statement(before));
    }
  }

  private void duplicate(Statement statement, Statement before) {
    faults.add(
        new Part21Fault(
            statement.line(),
            Part21Fault.DUPLICATE_ID,
            "#%d stands on line %d already".formatted(statement.id(), before.line())));
    if (!before.entities().equals(statement.entities())) {
      twice.add(statement.id());
    }
  }

  private void danglingReferences() {
    forward.dangling(
        external::contains,
        (place, number) ->
            faults.add(
                new Part21Fault(
                    texts.line(textOf[place]),
                    Part21Fault.DANGLING_REFERENCE,
                    "#%d is referred to and stands nowhere".formatted(number))));
  }
}
