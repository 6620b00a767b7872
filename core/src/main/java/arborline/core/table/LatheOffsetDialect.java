package arborline.core.table;

import arborline.core.machine.Machine;
import arborline.core.quantity.Unit;
import com.google.auto.service.AutoService;
import java.io.IOException;
import java.math.BigDecimal;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * The offsets of a turning centre as a G10 program that it punches out and takes in: {@code G10
 * P10601 X241.2 Z85.25 R0.8 Q3} is the geometry of number 601, X as a diameter, {@code G10 P601
 * X0.02 Z0. R0.} its wear. A word that is not there is not set; one without a value makes it so. A
 * table beside it says which library number each station holds and by which number programs call
 * it. Which tools are set the control tells as MTConnect assets; geometry that is taken in is set.
 */
@AutoService(ControlDialect.class)
public final class LatheOffsetDialect implements ControlDialect {

  public static final String OFFSETS = "offsets.nc";
  public static final String NUMBERS = "numbers.tsv";
  public static final String STATE = "assets";

  private static final int HIGHEST_NUMBER = 9_999;
  private static final String HEAD = "station\tnumber\tprogram";
  private static final int GEOMETRY = 10_000;
  private static final int MOST_LINES = 100_000;
  private static final BigDecimal LARGEST = new BigDecimal("10000");
  private static final Pattern BLOCK =
      Pattern.compile("G10 P(\\d{1,5})((?: [XZRQ]-?(?:\\d{1,5}(?:\\.\\d{0,6})?|\\.\\d{1,6}))*)");
  private static final Pattern STATION = Pattern.compile("(\\S{1,8})\t(\\d{1,4}|-)\t(\\d{1,4}|-)");
  private static final Set<TableField> IDENTITY =
      Set.of(TableField.TOOL, TableField.NUMBER, TableField.PROGRAM_NUMBER);
  private static final Map<Character, TableField> SIZES =
      new TreeMap<>(
          Map.of(
              'X', TableField.X,
              'Z', TableField.Z,
              'R', TableField.NOSE_RADIUS,
              'Q', TableField.ORIENTATION));
  private static final Map<Character, TableField> WEARS =
      new TreeMap<>(
          Map.of('X', TableField.X_WEAR, 'Z', TableField.Z_WEAR, 'R', TableField.NOSE_RADIUS_WEAR));
  private static final String ORDER = "XZRQ";

  @Override
  public String id() {
    return "lathe-offsets";
  }

  @Override
  public String title() {
    return "G10 offsets of a lathe";
  }

  @Override
  public List<ControlField> fields(Machine machine) {
    int decimals = machine.habits().decimals();
    List<ControlField> fields = new ArrayList<>();
    fields.add(ControlField.of(TableField.NUMBER).scope(ControlField.Scope.PLACE));
    fields.add(ControlField.of(TableField.PROGRAM_NUMBER).scope(ControlField.Scope.PLACE));
    fields.add(ControlField.of(TableField.OFFSET));
    fields.add(ControlField.of(TableField.X).shown(ControlField.Shown.TWICE).decimals(decimals));
    fields.add(ControlField.of(TableField.Z).decimals(decimals));
    fields.add(ControlField.of(TableField.NOSE_RADIUS).decimals(decimals));
    for (TableField field : List.of(TableField.ORIENTATION, TableField.SET)) {
      fields.add(ControlField.of(field).scope(ControlField.Scope.OFFSET_NUMBER));
    }
    WEARS.values().forEach(wear -> fields.add(ControlField.of(wear).decimals(decimals)));
    return fields;
  }

  @Override
  public List<String> documents() {
    return List.of(OFFSETS, NUMBERS, STATE);
  }

  @Override
  public Optional<Instant> clock(Map<String, byte[]> documents) {
    return ControlClock.behind(documents.get(STATE), "creationTime=\"");
  }

  @Override
  public ControlTable read(Machine machine, Map<String, byte[]> documents) throws IOException {
    Map<String, TableEntry> registers = registers(machine, lines(documents.get(OFFSETS)));
    MeasuredTools.read(documents.get(STATE))
        .forEach((number, set) ->
            registers.computeIfPresent(
                number, (same, row) -> row.with(TableField.SET, set ? "yes" : "no")));
    Map<String, TableEntry> places = new HashMap<>();
    Map<String, TableEntry> unplaced = new LinkedHashMap<>(registers);
    List<String> lines = lines(documents.get(NUMBERS));
    if (lines.isEmpty() || !lines.getFirst().equals(HEAD)) {
      throw new IOException("its table of numbers does not begin with station, number, program");
    }
    for (String line : lines.subList(1, lines.size())) {
      Matcher row = STATION.matcher(line);
      if (!row.matches() || !machine.hasPlace(row.group(1))) {
        throw new IOException("line '%s' of its numbers is no station of it".formatted(line));
      }
      if (row.group(2).equals(KeptCodes.NONE)) {
        continue;
      }
      String number = plain(row.group(2));
      TableEntry held =
          registers
              .getOrDefault(number, TableEntry.EMPTY)
              .with(TableField.NUMBER, number)
              .with(TableField.OFFSET, number)
              .with(
                  TableField.PROGRAM_NUMBER,
                  row.group(3).equals(KeptCodes.NONE) ? null : plain(row.group(3)));
      if (places.put(row.group(1), held) != null) {
        throw new IOException("its numbers name station %s twice".formatted(row.group(1)));
      }
      unplaced.remove(number);
    }
    return new ControlTable(
        places, Optional.empty(), List.copyOf(unplaced.values()), "", List.of());
  }

  private static List<String> lines(byte[] document) throws IOException {
    List<String> lines =
        new String(document, StandardCharsets.ISO_8859_1)
            .lines()
            .map(String::stripTrailing)
            .filter(line -> !line.isBlank())
            .limit(MOST_LINES + 1)
            .toList();
    if (lines.size() > MOST_LINES) {
      throw new IOException("its file has more lines than any control's");
    }
    return lines;
  }

  /** Geometry and wear, by library number. */
  private static Map<String, TableEntry> registers(Machine machine, List<String> lines)
      throws IOException {
    boolean whole =
        lines.size() >= 4
            && lines.getFirst().equals("%")
            && lines.getLast().equals("%")
            && lines.get(lines.size() - 2).equals("M30");
    if (!whole) {
      throw new IOException("its program of offsets is not whole: it stands between % and M30, %");
    }
    Map<String, TableEntry> registers = new TreeMap<>(PlaceOrder.BY_NUMBER);
    Unit unit = null;
    for (String line : lines.subList(1, lines.size() - 2)) {
      Matcher block = BLOCK.matcher(line);
      if (line.equals("G21 G90") || line.equals("G20 G90")) {
        unit = line.startsWith("G20") ? Unit.INCH : Unit.MILLIMETRE;
      } else if (block.matches()) {
        put(registers, Integer.parseInt(block.group(1)), block.group(2));
      } else if (!line.matches("\\([^()]*\\)")) {
        throw new IOException("block '%s' of its offsets is none of them".formatted(line));
      }
    }
    if (unit != machine.habits().lengths()) {
      throw new IOException(
          "it sends %s, and its definition says %s: correct the one that is wrong"
              .formatted(
                  unit == null ? "no unit" : unit.code(), machine.habits().lengths().code()));
    }
    return registers;
  }

  private static void put(Map<String, TableEntry> registers, int address, String words) {
    boolean geometry = address > GEOMETRY;
    String number = Integer.toString(geometry ? address - GEOMETRY : address);
    TableEntry row =
        registers
            .getOrDefault(number, TableEntry.EMPTY)
            .with(TableField.NUMBER, number)
            .with(TableField.OFFSET, number);
    for (String word : words.strip().split(" ")) {
      TableField field = word.isEmpty() ? null : (geometry ? SIZES : WEARS).get(word.charAt(0));
      if (field != null) {
        row = row.with(field, new BigDecimal(word.substring(1)).toPlainString());
      }
    }
    registers.put(number, row);
  }

  private static String plain(String number) {
    return Integer.toString(Integer.parseInt(number));
  }

  @Override
  public TableEntry registered(TableEntry entry) {
    String number = entry.get(TableField.NUMBER);
    return number == null ? entry : entry.with(TableField.OFFSET, number);
  }

  @Override
  public Optional<String> refusal(Machine machine, TableEntry entry) {
    Optional<String> number = KeptNumbers.refusal(machine, entry, HIGHEST_NUMBER);
    if (number.isPresent()) {
      return number;
    }
    Optional<String> outside =
        machine.numbering().question(Long.parseLong(entry.get(TableField.NUMBER)));
    if (outside.isPresent()) {
      return outside.map(why -> "%s: %s".formatted(entry.get(TableField.TOOL), why));
    }
    ControlTerms terms = ControlTerms.of(machine, this);
    return terms.sizes().stream()
        .filter(field -> entry.get(field) != null)
        .filter(field ->
            new BigDecimal(terms.shown(field, entry.get(field))).abs().compareTo(LARGEST) >= 0)
        .map(field ->
            "%s keeps sizes below 10 m; %s of %s is %s"
                .formatted(
                    machine.name(), field.title(), entry.get(TableField.TOOL), entry.get(field)))
        .findFirst();
  }

  @Override
  public List<ControlFile> write(Machine machine, ControlTable now, List<RowWrite> rows) {
    List<ControlFile> files = new ArrayList<>(2);
    String offsets = offsets(rows);
    if (!offsets.isEmpty()) {
      files.add(
          new ControlFile(
              OFFSETS,
              "text/plain;charset=US-ASCII",
              "%%\n(TOOL OFFSETS)\n%s G90\n%sM30\n%%\n"
                  .formatted(machine.habits().lengths() == Unit.INCH ? "G20" : "G21", offsets)));
    }
    String numbers = numbers(rows);
    if (!numbers.isEmpty()) {
      files.add(
          new ControlFile(
              NUMBERS, "text/tab-separated-values;charset=US-ASCII", HEAD + "\n" + numbers));
    }
    return files;
  }

  private static String offsets(List<RowWrite> rows) {
    StringBuilder text = new StringBuilder();
    for (RowWrite row : rows) {
      TableEntry target = row.target();
      if (target.get(TableField.OFFSET) == null) {
        continue;
      }
      int number = Integer.parseInt(target.get(TableField.OFFSET));
      boolean geometry =
          row.fields().contains(TableField.SET)
              || SIZES.values().stream().anyMatch(row.fields()::contains);
      if (geometry) {
        text.append("G10 P%d%s\n".formatted(GEOMETRY + number, words(target, SIZES)));
      }
      if (WEARS.values().stream().anyMatch(row.fields()::contains)) {
        text.append("G10 P%d%s\n".formatted(number, words(target, WEARS)));
      }
    }
    return text.toString();
  }

  /** All words of a register: what is not set has no value. */
  private static String words(TableEntry target, Map<Character, TableField> fields) {
    StringBuilder words = new StringBuilder();
    for (char letter : ORDER.toCharArray()) {
      TableField field = fields.get(letter);
      if (field == null) {
        continue;
      }
      BigDecimal value = target.number(field);
      boolean wear = field.form() == TableField.Form.WEAR;
      String text =
          value == null
              ? wear ? "0." : ""
              : field.form() == TableField.Form.COUNT ? value.toPlainString() : pointed(value);
      words.append(' ').append(letter).append(text);
    }
    return words.toString();
  }

  /** A decimal with an explicit point: {@code 120.}, {@code 119.988}. */
  private static String pointed(BigDecimal value) {
    String text = value.stripTrailingZeros().toPlainString();
    return text.contains(".") ? text : text + ".";
  }

  private static String numbers(List<RowWrite> rows) {
    StringBuilder text = new StringBuilder();
    for (RowWrite row : rows) {
      if (row.fields().stream().anyMatch(IDENTITY::contains)) {
        text.append(
            "%s\t%s\t%s\n"
                .formatted(
                    row.place(),
                    orNone(row.target().get(TableField.NUMBER)),
                    orNone(row.target().get(TableField.PROGRAM_NUMBER))));
      }
    }
    return text.toString();
  }

  private static String orNone(String text) {
    return text == null ? KeptCodes.NONE : text;
  }
}
