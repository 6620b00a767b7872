package arborline.core.part21;

import arborline.core.exchange.TextHead;
import arborline.core.exchange.UnreadableFileException;
import arborline.core.part21.StatementTexts.StatementText;
import java.io.IOException;
import java.io.StringReader;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

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

  private final Map<Long, Statement> instances = new LinkedHashMap<>();
  private final List<Statement> all = new ArrayList<>();
  private final List<Statement> header = new ArrayList<>();
  private final Set<Long> external = new HashSet<>();
  private final Set<Long> twice = new HashSet<>();
  private final List<Part21Fault> faults = new ArrayList<>();
  private final Set<Long> garbageLines = new HashSet<>();
  private String section = "";

  private Part21Document() {}

  /**
   * Reads a file.
   *
   * @throws UnreadableFileException where it is no exchange file, or holds more than can be
   */
  public static Part21Document read(byte[] file) throws UnreadableFileException {
    String text = TextHead.sniff(file).decode(file);
    if (!text.stripLeading().startsWith(START)) {
      throw new UnreadableFileException(
          "line 1: this is no file of ISO 10303-21: it begins otherwise");
    }
    Part21Document document = new Part21Document();
    for (StatementText statement : StatementTexts.of(text)) {
      document.take(statement);
      if (document.garbageLines.size() > MOST_GARBAGE) {
        throw new UnreadableFileException(
            "line %d: more than %d lines are no statements: this is no exchange file"
                .formatted(statement.line(), MOST_GARBAGE));
      }
      if (document.all.size() > MOST_INSTANCES) {
        throw new UnreadableFileException(
            "line %d: more than %d instances".formatted(statement.line(), MOST_INSTANCES));
      }
    }
    document.close(text);
    document.danglingReferences();
    document.faults.sort(Comparator.comparingLong(Part21Fault::line));
    return document;
  }

  /** Instances in the order of the file; of a number that stands twice both. */
  public List<Statement> statements() {
    return all;
  }

  public Optional<Statement> instance(long id) {
    return Optional.ofNullable(instances.get(id));
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

  private void take(StatementText statement) {
    String text = statement.text().strip();
    if (text.equals(START)) {
      return;
    }
    if (text.startsWith(END)) {
      closeSection(statement.line());
      section = END;
    } else if (text.equals("ENDSEC")) {
      section = "";
    } else if (begins(text)) {
      closeSection(statement.line());
      section = text.replaceFirst("\\W.*", "");
    } else if (section.equals("REFERENCE")) {
      external(text);
    } else if (!section.equals("ANCHOR") && !section.equals("SIGNATURE")) {
      parse(statement);
    }
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

  private void close(String text) {
    int last = (int) text.stripTrailing().chars().filter(sign -> sign == '\n').count() + 1;
    closeSection(last);
  }

  private void external(String text) {
    Matcher named = EXTERNAL.matcher(text);
    if (named.matches()) {
      external.add(Long.parseLong(named.group(1)));
    }
  }

  /** Reads a statement; lines that make none of it are taken out, one after the other. */
  private void parse(StatementText statement) {
    String[] lines = statement.text().split("\n", -1);
    Set<Integer> out = new HashSet<>();
    while (out.size() <= Math.min(lines.length - 1, MOST_LINES_OUT)) {
      try {
        Optional<Statement> read = parsed(statement.line(), lines, out);
        read.ifPresent(this::keep);
        return;
      } catch (FaultyStatementException fault) {
        int wrong = Math.clamp(fault.line() - statement.line(), 0, lines.length - 1);
        while (out.contains(wrong) && wrong > 0) {
          wrong--;
        }
        if (!out.add(wrong)) {
          break;
        }
        garbage(statement.line() + wrong, fault.getMessage());
      } catch (IOException impossible) {
        throw new IllegalStateException(impossible);
      }
    }
  }

  private static Optional<Statement> parsed(int first, String[] lines, Set<Integer> out)
      throws IOException {
    StringBuilder text = new StringBuilder();
    for (int i = 0; i < lines.length; i++) {
      text.append(out.contains(i) ? "" : lines[i]).append('\n');
    }
    if (text.toString().isBlank()) {
      return Optional.empty();
    }
    try (PhysicalFile file = new PhysicalFile(new StringReader(text + ";"), first)) {
      return file.next();
    }
  }

  private void garbage(long line, String why) {
    if (garbageLines.add(line)) {
      faults.add(new Part21Fault(line, Part21Fault.GARBAGE, "this is no statement: " + why));
    }
  }

  private void keep(Statement statement) {
    if (statement.id() == 0) {
      header.add(statement);
      return;
    }
    all.add(statement);
    Statement before = instances.putIfAbsent(statement.id(), statement);
    if (before != null) {
      faults.add(
          new Part21Fault(
              statement.line(),
              Part21Fault.DUPLICATE_ID,
              "#%d stands on line %d already".formatted(statement.id(), before.line())));
      if (!before.entities().equals(statement.entities())) {
        twice.add(statement.id());
      }
    }
  }

  private void danglingReferences() {
    for (Statement statement : all) {
      statement
          .references()
          .filter(id -> !instances.containsKey(id) && !external.contains(id))
          .findFirst()
          .ifPresent(id ->
              faults.add(
                  new Part21Fault(
                      statement.line(),
                      Part21Fault.DANGLING_REFERENCE,
                      "#%d is referred to and stands nowhere".formatted(id))));
    }
  }
}
