package arborline.server.explain;

import arborline.core.quantity.Unit;
import arborline.core.table.ControlField;
import arborline.core.table.ControlTable;
import arborline.core.table.ControlTerms;
import arborline.core.table.Nominal;
import arborline.core.table.Register;
import arborline.core.table.TableEntry;
import arborline.core.table.TableField;
import arborline.core.table.ToolTables;
import arborline.server.explain.TableInput.TableControlInput;
import arborline.server.explain.TableInput.TableMachineInput;
import arborline.server.support.Refusal;
import java.math.BigDecimal;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import tools.jackson.databind.JsonNode;

/** Reads tool tables that somebody wrote down, and says what of them cannot be. */
final class TableInputReader {

  private static final int MOST_PLACES = 10_000;
  private static final int LONGEST = 120;
  private static final int LONGEST_NUMBER = 24;
  private static final int MOST_DECIMALS = 6;
  private static final BigDecimal LARGEST = new BigDecimal(100_000_000);
  private static final int FINEST = 12;
  private static final String TOLERANCE = "tolerance";

  private final TableInput input;

  TableInputReader(TableInput input) {
    this.input = input;
  }

  /**
   * The terms that it states.
   *
   * @throws Refusal naming the place of what cannot be read
   */
  ControlTerms terms() {
    TableMachineInput machine = input.machine();
    if (machine == null) {
      throw Refusal.badRequest("machine: state unit, identity and register of the control");
    }
    Unit unit =
        Optional.ofNullable(machine.unit())
            .filter(name -> name.equals("mm") || name.equals("in"))
            .flatMap(Unit::named)
            .orElseThrow(() -> Refusal.badRequest("machine.unit: state mm or in"));
    boolean apart = "apart".equals(machine.identity());
    if (!apart && !"pocket".equals(machine.identity())) {
      throw Refusal.badRequest("machine.identity: state apart or pocket");
    }
    Map<TableField, Integer> decimals = decimals(machine.decimals());
    Map<TableField, BigDecimal> limits = limits(machine.limits());
    List<ControlField> fields =
        register(machine.register()).fields(Boolean.TRUE.equals(machine.wear())).stream()
            .map(field -> field.decimals(decimals.getOrDefault(field.field(), field.decimals())))
            .map(field -> field.most(Optional.ofNullable(limits.get(field.field()))))
            .toList();
    return new ControlTerms(unit, fields, apart, Boolean.TRUE.equals(machine.random()));
  }

  private static Register register(@Nullable String named) {
    for (Register register : Register.values()) {
      if (register.name().toLowerCase(Locale.ROOT).replace('_', '-').equals(named)) {
        return register;
      }
    }
    throw Refusal.badRequest("machine.register: state diameter, radius or x-diameter");
  }

  private static Map<TableField, Integer> decimals(@Nullable Map<String, Integer> given) {
    Map<TableField, Integer> decimals = new HashMap<>();
    each(given)
        .forEach((name, number) -> {
          String where = "machine.decimals." + name;
          if (number < 0 || number > MOST_DECIMALS) {
            throw Refusal.badRequest("%s: state 0 to %d".formatted(where, MOST_DECIMALS));
          }
          decimals.put(field(where, name), number);
        });
    return decimals;
  }

  private static Map<TableField, BigDecimal> limits(@Nullable Map<String, BigDecimal> given) {
    Map<TableField, BigDecimal> limits = new HashMap<>();
    each(given)
        .forEach((name, most) -> {
          String where = "machine.limits." + name;
          limits.put(field(where, name), sound(where, most));
        });
    return limits;
  }

  /** The tables that it states. */
  ToolTables tables() {
    TableControlInput control = input.control();
    if (control == null || control.places() == null) {
      throw Refusal.badRequest("control.places: state what the control shows, by place");
    }
    return new ToolTables(
        entries("plan", input.plan()),
        nominal(),
        input.agreed() == null ? Optional.empty() : Optional.of(entries("agreed", input.agreed())),
        new ControlTable(
            entries("control.places", control.places()),
            Optional.ofNullable(control.spindle()).map(row -> entry("control.spindle", row))));
  }

  private Map<String, Nominal> nominal() {
    Map<String, Nominal> nominal = new HashMap<>();
    few("nominal", each(input.nominal()))
        .forEach((tool, given) -> {
          Map<TableField, BigDecimal> sizes = new HashMap<>();
          Optional<BigDecimal> tolerance = Optional.empty();
          for (Map.Entry<String, JsonNode> size : given.entrySet()) {
            String where = "nominal.%s.%s".formatted(tool, size.getKey());
            if (size.getValue().isNull()) {
              continue;
            }
            BigDecimal number = number(where, plain(where, size.getValue()));
            if (size.getKey().equals(TOLERANCE)) {
              tolerance = Optional.of(number);
            } else if (TableField.SIZES.contains(field(where, size.getKey()))) {
              sizes.put(field(where, size.getKey()), number);
            }
          }
          nominal.put(
              tool.toUpperCase(Locale.ROOT), new Nominal(sizes, tolerance, Map.of(), Set.of()));
        });
    return nominal;
  }

  private static Map<String, TableEntry> entries(
      String where, @Nullable Map<String, Map<String, JsonNode>> rows) {
    Map<String, TableEntry> entries = new HashMap<>();
    few(where, each(rows))
        .forEach((place, row) -> {
          if (place.isBlank() || place.length() > LONGEST) {
            throw Refusal.badRequest(
                "%s: a place is named by 1 to %d characters".formatted(where, LONGEST));
          }
          entries.put(place, entry("%s.%s".formatted(where, place), row));
        });
    return entries;
  }

  private static TableEntry entry(String where, Map<String, JsonNode> row) {
    Map<TableField, String> fields = new HashMap<>();
    row.forEach((name, text) -> {
      String at = "%s.%s".formatted(where, name);
      TableField field = field(at, name);
      if (!text.isNull()) {
        fields.put(field, text(at, field, plain(at, text)));
      }
    });
    return new TableEntry(fields);
  }

  private static String plain(String where, JsonNode text) {
    if (!text.isString() && !text.isNumber()) {
      throw Refusal.badRequest(where + ": write a text, a number, or null");
    }
    return text.asString();
  }

  private static String text(String where, TableField field, String text) {
    if (text.isEmpty() || text.length() > LONGEST) {
      throw Refusal.badRequest("%s: write 1 to %d characters".formatted(where, LONGEST));
    }
    return switch (field.form()) {
      case WORD -> text;
      case COUNT -> {
        BigDecimal number = number(where, text);
        if (number.stripTrailingZeros().scale() > 0) {
          throw Refusal.badRequest(where + ": write a whole number");
        }
        yield number.toBigInteger().toString();
      }
      case SIZE, WEAR, AMOUNT -> number(where, text).toPlainString();
    };
  }

  private static BigDecimal number(String where, String text) {
    try {
      if (text.length() <= LONGEST_NUMBER) {
        return sound(where, new BigDecimal(text));
      }
    } catch (NumberFormatException word) {
      throw Refusal.badRequest("%s: '%s' is no number".formatted(where, text));
    }
    throw Refusal.badRequest(
        "%s: a number has %d characters at most".formatted(where, LONGEST_NUMBER));
  }

  private static BigDecimal sound(String where, BigDecimal number) {
    if (Math.abs((long) number.scale()) > FINEST || number.abs().compareTo(LARGEST) > 0) {
      throw Refusal.badRequest(
          "%s: write less than %s, with %d decimals at most"
              .formatted(where, LARGEST.toPlainString(), FINEST));
    }
    return number;
  }

  private static TableField field(String where, String name) {
    return FieldNames.named(name)
        .orElseThrow(() ->
            Refusal.badRequest(
                "%s: there is no such field; %s".formatted(where, FieldNames.all())));
  }

  private static <T> Map<String, T> few(String where, Map<String, T> rows) {
    if (rows.size() > MOST_PLACES) {
      throw Refusal.badRequest("%s: %d rows at most".formatted(where, MOST_PLACES));
    }
    return rows;
  }

  private static <T> Map<String, T> each(@Nullable Map<String, T> map) {
    return map == null ? Map.of() : map;
  }
}
