package arborline.core.part21;

import arborline.core.exchange.TextHead;
import arborline.core.exchange.UnreadableFileException;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.charset.StandardCharsets;
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

  private static final int[] NOWHERE = {};
  private static final String START = "ISO-10303-21";
  private static final String END = "END-" + START;
  private static final long EACH_BYTE_ONE = 0x0101010101010101L;
  private static final long EACH_HIGHEST_BIT = 0x8080808080808080L;
  private static final Pattern EXTERNAL =
      Pattern.compile("\\s*#(\\d{1,18})\\s*=\\s*<.*", Pattern.DOTALL);

  /** So many instances are kept as read; more are read again whenever they are asked for. */
  private static final int MOST_KEPT = 250_000;

  private final byte[] text;
  private final StatementTexts texts;
  private final StatementParser parser;
  private final Names names = new Names();
  private final InstanceTable numbers = new InstanceTable();

  /** Where entities stand, by the numbers of their names. */
  private Places[] byName = new Places[64];

  private final ForwardReferences forward = new ForwardReferences(numbers);

  /** Which text each instance is. */
  private int[] textOf = new int[1024];

  private int size;

  /** The first instances as far as anybody asked for them. */
  private Statement[] first = new Statement[1024];

  /** Those that had to be repaired, by their places. */
  private final Map<Integer, Statement> repairs = new HashMap<>();

  private final List<Statement> header = new ArrayList<>();
  private final Set<Long> external = new HashSet<>();
  private final Set<Long> twice = new HashSet<>();
  private final List<Part21Fault> faults = new ArrayList<>();
  private final Set<Long> garbageLines = new HashSet<>();
  private Section section = Section.NONE;

  private Part21Document(byte[] text) {
    this.text = text;
    this.texts = new StatementTexts(text);
    this.parser = new StatementParser(text, names);
  }

  /**
   * Reads a file.
   *
   * @throws UnreadableFileException where it is no exchange file, or holds more than can be
   */
  public static Part21Document read(byte[] file) throws UnreadableFileException {
    byte[] text = utf8(file);
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

  private static byte[] utf8(byte[] file) {
    return plain(file) ? file : TextHead.sniff(file).decode(file).getBytes(StandardCharsets.UTF_8);
  }

  /**
   * True where all bytes are ASCII and none is 0, as in nearly all files: nothing is to be found
   * out about their encoding. Eight bytes are looked at together.
   */
  private static boolean plain(byte[] file) {
    ByteBuffer bytes = ByteBuffer.wrap(file).order(ByteOrder.nativeOrder());
    long strange = 0;
    while (bytes.remaining() >= Long.BYTES) {
      long eight = bytes.getLong();
      strange |= eight | eight - EACH_BYTE_ONE;
    }
    while (bytes.hasRemaining()) {
      byte one = bytes.get();
      strange |= one | one - 1;
    }
    return (strange & EACH_HIGHEST_BIT) == 0;
  }

  private void takeAll() throws UnreadableFileException {
    StatementScan scan = new StatementScan(text, names);
    while (texts.more()) {
      int start = texts.at();
      int line = texts.line();
      if (section == Section.DATA && text[start] == '#' && scan.passes(start)) {
        keep(scan, texts.cut(scan.end(), scan.lines()));
      } else {
        take(texts.cut());
      }
      if (garbageLines.size() > MOST_GARBAGE) {
        throw new UnreadableFileException(
            "line %d: more than %d lines are no statements: this is no exchange file"
                .formatted(line, MOST_GARBAGE));
      }
      if (size > MOST_INSTANCES) {
        throw new UnreadableFileException(
            "line %d: more than %d instances".formatted(line, MOST_INSTANCES));
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
    Statement known = place < first.length ? first[place] : null;
    if (known != null) {
      return known;
    }
    Statement statement = repairs.get(place);
    if (statement == null) {
      statement = asWritten(place);
    }
    if (place < MOST_KEPT) {
      if (place >= first.length) {
        first = Arrays.copyOf(first, Math.min(Math.max(size, 2 * first.length), MOST_KEPT));
      }
      first[place] = statement;
    }
    return statement;
  }

  private Statement asWritten(int place) {
    try {
      return parsed(textOf[place]);
    } catch (FaultyStatementException impossible) {
      throw new IllegalStateException(impossible);
    }
  }

  private Statement parsed(int index) throws FaultyStatementException {
    int end = Math.min(texts.end(index) + 1, text.length);
    return parser.statement(texts.start(index), end, texts.line(index));
  }

  /** At which place of {@link #statements} the first instance of a number stands; or -1. */
  int place(long id) {
    return numbers.place(id);
  }

  public Optional<Statement> instance(long id) {
    int place = place(id);
    return place < 0 ? Optional.empty() : Optional.of(statement(place));
  }

  /** Instances of an entity in the order of the file, also as one of several partial ones. */
  public List<Statement> named(String name) {
    int number = names.number(name);
    boolean stands = number >= 0 && number < byName.length && byName[number] != null;
    int[] places = stands ? byName[number].all() : NOWHERE;
    List<Statement> named = new ArrayList<>(places.length);
    for (int place : places) {
      named.add(statement(place));
    }
    return named;
  }

  /** The names of all entities. */
  public List<String> names() {
    return names.all();
  }

  /** True where two different statements stand under a number. */
  boolean twice(long id) {
    return !twice.isEmpty() && twice.contains(id);
  }

  public List<Part21Fault> faults() {
    return faults;
  }

  /** The statement of the header with a name, such as {@code FILE_NAME}. */
  public Optional<Entity> header(String name) {
    return header.stream().flatMap(statement -> statement.entity(name).stream()).findFirst();
  }

  private static boolean startsWith(byte[] text) {
    int at = 0;
    while (at < text.length && Character.isWhitespace(text[at])) {
      at++;
    }
    return text.length - at >= START.length()
        && new String(text, at, START.length(), StandardCharsets.UTF_8).equals(START);
  }

  private void take(int index) {
    boolean instance = text[texts.start(index)] == '#';
    if (instance && section == Section.DATA) {
      parse(index);
    } else {
      word(index, texts.text(index).strip());
    }
  }

  private void word(int index, String word) {
    if (word.equals(START) || sectionWord(texts.line(index), word)) {
      return;
    }
    if (section == Section.REFERENCE) {
      external(word);
    } else if (section != Section.ANCHOR && section != Section.SIGNATURE) {
      parse(index);
    }
  }

  /** Takes a word that ends a section or begins one; false where it is none. */
  private boolean sectionWord(int line, String word) {
    if (word.startsWith(END)) {
      closeSection(line);
      section = Section.BEHIND;
    } else if (word.equals("ENDSEC")) {
      section = Section.NONE;
    } else {
      Section begun = Section.begunBy(word);
      if (begun == Section.NONE) {
        return false;
      }
      closeSection(line);
      section = begun;
    }
    return true;
  }

  private void closeSection(int line) {
    if (section != Section.NONE && section != Section.BEHIND) {
      faults.add(
          new Part21Fault(
              line, Part21Fault.MISSING_ENDSEC, "the section before is not closed by ENDSEC"));
    }
  }

  private void close() {
    int line = texts.line();
    for (int i = text.length - 1; i >= 0 && Character.isWhitespace(text[i]); i--) {
      line -= text[i] == '\n' ? 1 : 0;
    }
    closeSection(line);
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
    byte[] left = rest.append(';').toString().getBytes(StandardCharsets.UTF_8);
    return Optional.of(new StatementParser(left, names).statement(0, left.length, first));
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
    int place = add(index);
    if (repaired) {
      repairs.put(place, statement);
    }
    forward.add(statement, place);
    for (Entity entity : statement.entities()) {
      addName(names.number(entity.name()), place);
    }
    addNumber(statement.id(), place);
  }

  private void keep(StatementScan scan, int index) {
    int place = add(index);
    for (int i = 0; i < scan.references(); i++) {
      forward.add(scan.reference(i), place);
    }
    for (int i = 0; i < scan.entities(); i++) {
      addName(scan.entity(i), place);
    }
    addNumber(scan.id(), place);
  }

  /** The place of the next instance, which a text is. */
  private int add(int index) {
    if (size == textOf.length) {
      textOf = Arrays.copyOf(textOf, 2 * size);
    }
    textOf[size] = index;
    return size++;
  }

  private void addName(int name, int place) {
    if (name >= byName.length) {
      byName = Arrays.copyOf(byName, 2 * name);
    }
    if (byName[name] == null) {
      byName[name] = new Places();
    }
    byName[name].add(place);
  }

  private void addNumber(long id, int place) {
    int before = numbers.add(id, place);
    if (before >= 0) {
      duplicate(statement(place), statement(before));
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
