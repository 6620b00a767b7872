package arborline.core.recipe;

import arborline.core.quantity.Unit;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import java.util.regex.Pattern;

/**
 * The columns under one header row: what their words mean, settled by what stands beside and below
 * them.
 */
final class Columns {

  private static final Pattern NUMERIC = Pattern.compile("[-+]?[\\d.,/\\s-]*\\d[\\d.,/]*");
  private static final Pattern WORDY = Pattern.compile("\\p{L}{3,}.*\\s.*|.*\\s\\p{L}{3,}.*");
  private static final Set<Meaning> UNIQUE =
      EnumSet.complementOf(EnumSet.of(Meaning.NOTE, Meaning.DESCRIPTION, Meaning.CODE));
  private static final Predicate<String> DIGIT = Pattern.compile("\\d").asPredicate();
  private static final int MOST_TEETH = 20;
  private static final int FEWEST = 3;
  private static final int LONGEST_WORD = 40;

  /** Of so many header cells one may hold a digit. */
  private static final int WORDED = 5;

  /** Columns that say the same, each in other rows. */
  private static final int MOST_ALIKE = 5;

  private Columns() {}

  /** True for a row that heads columns: words that we know, and no numbers. */
  static boolean header(SourceRow row) {
    if (row.kind() == SourceRow.Kind.HEADER) {
      return true;
    }
    List<String> filled = row.filled();
    if (filled.size() < 2 || filled.stream().anyMatch(cell -> NUMERIC.matcher(cell).matches())) {
      return false;
    }
    long known = filled.stream().filter(cell -> HeaderCell.of(cell).known()).count();
    return known >= 2 && known * 2 >= filled.size();
  }

  /**
   * True for a row of words above rows of numbers, though we know none of the words.
   *
   * @param below the rows that follow it
   */
  static boolean headsNumbers(SourceRow row, List<SourceRow> below) {
    List<String> filled = row.filled();
    long words =
        filled.stream().filter(cell -> cell.length() <= LONGEST_WORD && !DIGIT.test(cell)).count();
    boolean worded =
        filled.size() >= FEWEST
            && new HashSet<>(filled).size() == filled.size()
            && words * WORDED >= filled.size() * (WORDED - 1L);
    if (!worded || below.size() < 2) {
      return false;
    }
    List<String> cells = new ArrayList<>();
    below.forEach(next -> cells.addAll(next.filled()));
    long numbers = cells.stream().filter(DIGIT).count();
    long wide =
        below.stream()
            .filter(next -> Math.abs(next.cells().size() - row.cells().size()) <= 1)
            .count();
    return numbers * 2 > cells.size() && wide * 2 > below.size();
  }

  /**
   * The columns of a header row.
   *
   * @param below rows of data that follow it, as far as they are seen
   */
  static List<ColumnRole> of(SourceRow header, List<SourceRow> below) {
    List<ColumnRole> roles = new ArrayList<>();
    for (String cell : header.cells()) {
      roles.add(role(cell));
    }
    settleFlutes(roles, below);
    settleNames(roles, below);
    settleLines(roles, below);
    onceEach(roles, below);
    return roles;
  }

  private static ColumnRole role(String cell) {
    HeaderCell read = HeaderCell.of(cell);
    if (read.meaning().isPresent()) {
      return new ColumnRole(
          cell.strip(), read.meaning().get(), Optional.empty(), read.unit(), "its header says so");
    }
    if (read.symbol().isPresent()) {
      return new ColumnRole(
          cell.strip(), Meaning.NOTE, read.symbol(), read.unit(), "its header is a symbol");
    }
    return new ColumnRole(
        cell.strip(),
        Meaning.NOTE,
        Optional.empty(),
        Optional.empty(),
        cell.isBlank() ? "no header" : "header not known");
  }

  /** {@code FL} is the teeth beside a length of cut, else the flute length beside the teeth. */
  private static void settleFlutes(List<ColumnRole> roles, List<SourceRow> below) {
    for (int i = 0; i < roles.size(); i++) {
      if (roles.get(i).meaning() == Meaning.FLUTES_OR_FLUTE_LENGTH) {
        boolean teeth = has(roles, Meaning.TEETH);
        boolean length = has(roles, Meaning.LENGTH_CUTTING) || has(roles, Meaning.LENGTH_FLUTE);
        boolean small = !teeth && (length || counts(below, i));
        roles.set(
            i,
            roles
                .get(i)
                .as(
                    small ? Meaning.TEETH : Meaning.LENGTH_FLUTE,
                    small
                        ? "small whole numbers beside a length of cut"
                        : "the teeth have a column of their own"));
      }
    }
  }

  private static boolean counts(List<SourceRow> below, int column) {
    return below.stream()
        .map(row -> row.cell(column))
        .filter(cell -> !cell.isEmpty())
        .allMatch(cell -> cell.matches("\\d{1,2}") && Integer.parseInt(cell) <= MOST_TEETH);
  }

  private static boolean has(List<ColumnRole> roles, Meaning meaning) {
    return roles.stream().anyMatch(role -> role.meaning() == meaning);
  }

  /** A column called tool or item holds codes or words: its cells say which. */
  private static void settleNames(List<ColumnRole> roles, List<SourceRow> below) {
    for (int i = 0; i < roles.size(); i++) {
      Meaning meaning = roles.get(i).meaning();
      if (meaning == Meaning.CODE && !below.isEmpty() && wordy(below, i)) {
        roles.set(i, roles.get(i).as(Meaning.DESCRIPTION, "its cells are words"));
      } else if (meaning == Meaning.DESCRIPTION && !has(roles, Meaning.CODE) && codes(below, i)) {
        roles.set(i, roles.get(i).as(Meaning.CODE, "its cells are codes, none twice"));
      }
    }
    settleCodes(roles, below);
  }

  private static boolean wordy(List<SourceRow> below, int column) {
    List<String> cells = cells(below, column);
    long words =
        cells.stream()
            .filter(cell -> WORDY.matcher(cell).matches() || ClassWords.find(cell).isPresent())
            .filter(cell -> !Designations.is(cell))
            .count();
    return words * 2 > cells.size();
  }

  private static boolean codes(List<SourceRow> below, int column) {
    List<String> cells = cells(below, column);
    return !cells.isEmpty()
        && new HashSet<>(cells).size() == cells.size()
        && cells.stream().allMatch(cell -> cell.matches("\\S*\\d\\S*"));
  }

  private static List<String> cells(List<SourceRow> below, int column) {
    return below.stream().map(row -> row.cell(column)).filter(cell -> !cell.isEmpty()).toList();
  }

  /** Of several columns of codes the one with most different cells stands. */
  private static void settleCodes(List<ColumnRole> roles, List<SourceRow> below) {
    int best = -1;
    int most = -1;
    for (int i = 0; i < roles.size(); i++) {
      if (roles.get(i).meaning() == Meaning.CODE) {
        int different = new HashSet<>(cells(below, i)).size();
        if (different > most) {
          most = different;
          best = i;
        }
      }
    }
    for (int i = 0; i < roles.size(); i++) {
      if (roles.get(i).meaning() == Meaning.CODE && i != best) {
        roles.set(i, roles.get(i).as(Meaning.NOTE, "another column is the code"));
      }
    }
  }

  /**
   * A column of cutting data needs a speed or a feed beside it; work materials are no substrates.
   */
  private static void settleLines(List<ColumnRole> roles, List<SourceRow> below) {
    boolean cutting =
        has(roles, Meaning.SPEED)
            || has(roles, Meaning.FEED_TOOTH)
            || has(roles, Meaning.FEED_TURN)
            || has(roles, Meaning.FEED_RATE) && has(roles, Meaning.ROTATION);
    for (int i = 0; i < roles.size(); i++) {
      int column = i;
      ColumnRole role = roles.get(i);
      switch (role.meaning()) {
        case WORK_MATERIAL -> {
          boolean edges =
              !cells(below, column).isEmpty()
                  && cells(below, column).stream()
                      .allMatch(cell -> Substrates.find(cell).isPresent());
          if (edges) {
            roles.set(i, role.as(Meaning.SUBSTRATE, "its cells are materials of tools"));
          } else if (!cutting) {
            roles.set(i, role.as(Meaning.NOTE, "no speed and feed stand beside it"));
          }
        }
        case ROTATION, FEED_RATE, PURPOSE, COOLANT -> {
          if (!cutting) {
            roles.set(i, role.as(Meaning.NOTE, "no speed and feed stand beside it"));
          }
        }
        default -> {
          // what a tool has needs nothing beside it
        }
      }
    }
  }

  /** Where two columns say the same in one row, the first of them stands. */
  private static void onceEach(List<ColumnRole> roles, List<SourceRow> below) {
    Map<Meaning, List<Integer>> standing = new EnumMap<>(Meaning.class);
    for (int i = 0; i < roles.size(); i++) {
      int column = i;
      Meaning meaning = roles.get(i).meaning();
      if (!UNIQUE.contains(meaning)) {
        continue;
      }
      List<Integer> before = standing.computeIfAbsent(meaning, key -> new ArrayList<>());
      boolean twice =
          before.size() >= MOST_ALIKE
              || before.stream().anyMatch(first -> together(below, first, column));
      if (twice) {
        roles.set(i, roles.get(i).as(Meaning.NOTE, "another column says it already"));
      } else {
        before.add(i);
      }
    }
  }

  private static boolean together(List<SourceRow> below, int one, int other) {
    return below.isEmpty()
        || below.stream().anyMatch(row -> !row.cell(one).isEmpty() && !row.cell(other).isEmpty());
  }

  /** True for a row of units under a header. */
  static boolean units(SourceRow row) {
    List<String> filled = row.filled();
    return !filled.isEmpty()
        && filled.stream().allMatch(cell -> unit(cell).isPresent() || cell.equals("-"));
  }

  /** The columns with the units of such a row. */
  static List<ColumnRole> withUnits(List<ColumnRole> roles, SourceRow units) {
    List<ColumnRole> stated = new ArrayList<>();
    for (int i = 0; i < roles.size(); i++) {
      ColumnRole role = roles.get(i);
      stated.add(unit(units.cell(i)).map(role::in).orElse(role));
    }
    return stated;
  }

  private static Optional<Unit> unit(String cell) {
    String word = cell.strip().replaceAll("[\\[\\]()]", "");
    return word.isEmpty() ? Optional.empty() : Unit.named(word);
  }
}
