package arborline.core.table;

import arborline.core.machine.Machine;
import arborline.core.quantity.Unit;
import com.google.auto.service.AutoService;
import java.io.IOException;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * A text of fixed columns with one length and one radius register for each pocket, read and written
 * whole. Number, pocket and register are one; no tool is named, no wear is kept; a register of zero
 * is not set. The last line counts the registers and states their sum, so that half a file is none:
 *
 * <pre>
 * TOOLDATA INCH  24
 *   1 H   4.7244 R   0.1969
 * END  24        4.9213
 * </pre>
 */
@AutoService(ControlDialect.class)
public final class FixedRegisterDialect implements ControlDialect {

  public static final String REGISTERS = "TOOLS.TXT";

  private static final int HIGHEST_NUMBER = 999;
  private static final int LARGEST_FILE_ROWS = 10_000;
  private static final int COLUMNS = 9;
  private static final String NUMBER = "-?\\d{1,4}(?:\\.\\d{1,6})?";
  private static final Pattern HEAD = Pattern.compile("TOOLDATA (INCH|METR) +(\\d{1,5})");
  private static final Pattern ROW =
      Pattern.compile(
          "(?<number> *\\d{1,5}) H *(?<length>%1$s) R *(?<radius>%1$s)".formatted(NUMBER));
  private static final Pattern END =
      Pattern.compile("END +(\\d{1,5}) +(-?\\d{1,9}(?:\\.\\d{1,6})?)");

  @Override
  public String id() {
    return "fixed-registers";
  }

  @Override
  public String title() {
    return "fixed columns, one length and radius";
  }

  @Override
  public List<ControlField> fields(Machine machine) {
    return List.of(
        ControlField.of(TableField.NUMBER).scope(ControlField.Scope.PLACE),
        ControlField.of(TableField.OFFSET).scope(ControlField.Scope.PLACE),
        register(machine, TableField.LENGTH),
        register(machine, TableField.DIAMETER).shown(ControlField.Shown.HALF));
  }

  private static ControlField register(Machine machine, TableField field) {
    return ControlField.of(field)
        .decimals(machine.habits().decimals())
        .most(Register.most(machine, field));
  }

  @Override
  public List<String> documents() {
    return List.of(REGISTERS);
  }

  @Override
  public ControlTable read(Machine machine, Map<String, byte[]> documents) throws IOException {
    List<String> lines =
        new String(documents.get(REGISTERS), StandardCharsets.ISO_8859_1)
            .lines()
            .filter(line -> !line.isBlank())
            .toList();
    Matcher head = HEAD.matcher(lines.isEmpty() ? "" : lines.getFirst());
    if (!head.matches()) {
      throw new IOException("its file does not begin with TOOLDATA, INCH or METR, and a count");
    }
    Unit unit = head.group(1).equals("INCH") ? Unit.INCH : Unit.MILLIMETRE;
    if (unit != machine.habits().lengths()) {
      throw new IOException(
          "it sends %s, and its definition says %s: correct the one that is wrong"
              .formatted(unit.code(), machine.habits().lengths().code()));
    }
    int count = Integer.parseInt(head.group(2));
    if (count > LARGEST_FILE_ROWS || lines.size() != count + 2) {
      throw new IOException(
          "its file announces %d registers and has %d: it is not whole"
              .formatted(count, Math.max(0, lines.size() - 2)));
    }
    return table(machine, lines, count);
  }

  private static ControlTable table(Machine machine, List<String> lines, int count)
      throws IOException {
    Map<String, TableEntry> places = new HashMap<>();
    Map<String, String> byNumber = new HashMap<>();
    machine.controlPlaces().forEach(place -> byNumber.put(machine.number(place), place));
    BigDecimal sum = BigDecimal.ZERO;
    for (String line : lines.subList(1, count + 1)) {
      Matcher row = ROW.matcher(line);
      if (!row.matches()) {
        throw new IOException("line '%s' is no register of it".formatted(line));
      }
      String number = row.group("number").strip();
      String place = byNumber.get(number);
      BigDecimal length = new BigDecimal(row.group("length"));
      BigDecimal radius = new BigDecimal(row.group("radius"));
      sum = sum.add(length).add(radius);
      if (place == null) {
        throw new IOException(
            "it has a register %s, and %s has no such pocket".formatted(number, machine.name()));
      }
      TableEntry entry =
          TableEntry.EMPTY
              .with(TableField.NUMBER, number)
              .with(TableField.OFFSET, number)
              .with(TableField.LENGTH, orUnset(length))
              .with(TableField.DIAMETER, orUnset(radius));
      if (places.put(place, entry) != null) {
        throw new IOException("it has register %s twice".formatted(number));
      }
    }
    Matcher end = END.matcher(lines.getLast());
    boolean whole =
        end.matches()
            && Integer.parseInt(end.group(1)) == count
            && new BigDecimal(end.group(2)).compareTo(sum) == 0;
    if (!whole) {
      throw new IOException(
          "its last line '%s' does not agree with %d registers whose sum is %s"
              .formatted(lines.getLast(), count, sum.toPlainString()));
    }
    return new ControlTable(places, Optional.empty());
  }

  private static String orUnset(BigDecimal register) {
    return register.signum() == 0 ? null : register.toPlainString();
  }

  @Override
  public TableEntry registered(TableEntry entry) {
    String number = entry.get(TableField.NUMBER);
    return number == null ? entry : entry.with(TableField.OFFSET, number);
  }

  @Override
  public Optional<String> refusal(Machine machine, TableEntry entry) {
    int registers = machine.controlPlaces().size();
    if (registers > HIGHEST_NUMBER) {
      return Optional.of(
          "%s counts its registers in 3 columns; %d are too many"
              .formatted(machine.name(), registers));
    }
    ControlTerms terms = ControlTerms.of(machine, this);
    for (TableField field : terms.sizes()) {
      String shown = terms.shown(field, entry.get(field));
      if (shown != null && shown.length() > COLUMNS) {
        return Optional.of(
            "%s writes a %s in %d characters; %s of %s has %d"
                .formatted(
                    machine.name(),
                    terms.title(field),
                    COLUMNS,
                    shown,
                    entry.get(TableField.TOOL),
                    shown.length()));
      }
    }
    return Optional.empty();
  }

  @Override
  public List<ControlFile> write(Machine machine, ControlTable now, List<RowWrite> rows) {
    if (rows.isEmpty()) {
      return List.of();
    }
    Map<String, TableEntry> targets = new HashMap<>(now.places());
    rows.forEach(row -> targets.put(row.place(), row.target()));
    List<String> lines = new ArrayList<>();
    BigDecimal sum = BigDecimal.ZERO;
    for (String place : machine.controlPlaces()) {
      TableEntry target = targets.getOrDefault(place, TableEntry.EMPTY);
      BigDecimal length = register(machine, target, TableField.LENGTH);
      BigDecimal radius = register(machine, target, TableField.DIAMETER);
      sum = sum.add(length).add(radius);
      lines.add(
          String.format(
              Locale.ROOT,
              "%3s H%9s R%9s",
              machine.number(place),
              length.toPlainString(),
              radius.toPlainString()));
    }
    String unit = machine.habits().lengths() == Unit.INCH ? "INCH" : "METR";
    String text =
        String.format(
            Locale.ROOT,
            "TOOLDATA %s %3d\r\n%s\r\nEND %3d %13s\r\n",
            unit,
            lines.size(),
            String.join("\r\n", lines),
            lines.size(),
            sum.toPlainString());
    return List.of(new ControlFile(REGISTERS, "text/plain;charset=US-ASCII", text));
  }

  private static BigDecimal register(Machine machine, TableEntry target, TableField field) {
    return Optional.ofNullable(target.number(field))
        .orElse(BigDecimal.ZERO)
        .setScale(machine.habits().decimals(), RoundingMode.HALF_UP);
  }
}
