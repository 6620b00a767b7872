package arborline.shop;

import arborline.shop.RegisterState.LengthAndRadius;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Objects;

/**
 * A simulated older control: 24 pockets, one length and one radius register each, inches. Its table
 * is punched out and taken in whole; registers before a fault stay changed, as on a real one.
 */
final class RegisterControl implements StandIn {

  static final int POCKETS = 24;
  private static final int DECIMALS = 4;

  private final StateFile<RegisterState> file;
  private RegisterState state;
  private Behaviour behaviour = Behaviour.GOOD;

  RegisterControl(StateFile<RegisterState> file) {
    this.file = file;
    this.state = file.load();
  }

  @Override
  public synchronized Behaviour behaviour() {
    return behaviour;
  }

  @Override
  public synchronized void behave(Behaviour next) {
    behaviour = Objects.requireNonNull(next, "how to behave is not said");
  }

  @Override
  public synchronized void forget() {
    state = file.factory();
    behaviour = Behaviour.GOOD;
    file.save(state);
  }

  /**
   * What the operator keys in.
   *
   * @param length null leaves it as it is
   * @param radius null leaves it as it is
   */
  record PanelEntry(int number, BigDecimal length, BigDecimal radius) {}

  @Override
  public synchronized void panel(String json) {
    PanelEntry entry = PanelEndpoint.JSON.readValue(json, PanelEntry.class);
    LengthAndRadius now = state.at(entry.number());
    put(
        entry.number(),
        entry.length() == null ? now.length() : entry.length(),
        entry.radius() == null ? now.radius() : entry.radius());
  }

  synchronized RegisterState state() {
    return state;
  }

  private void put(int number, BigDecimal length, BigDecimal radius) {
    state.registers().put(number, new LengthAndRadius(shown(length), shown(radius)));
    file.save(state);
  }

  private static BigDecimal shown(BigDecimal value) {
    return value.setScale(DECIMALS, RoundingMode.HALF_UP);
  }

  /** The whole table as text. */
  synchronized String punch() {
    if (behaviour.garbage()) {
      return "TAPE READER ERROR\r\n";
    }
    List<String> lines = new ArrayList<>();
    lines.add(String.format(Locale.ROOT, "TOOLDATA INCH %3d", POCKETS));
    BigDecimal sum = BigDecimal.ZERO;
    for (int number = 1; number <= POCKETS; number++) {
      LengthAndRadius register = state.at(number);
      sum = sum.add(register.length()).add(register.radius());
      lines.add(
          String.format(
              Locale.ROOT, "%3d H%9s R%9s", number, register.length(), register.radius()));
    }
    lines.add(String.format(Locale.ROOT, "END %3d %13s", POCKETS, sum));
    String text = String.join("\r\n", lines) + "\r\n";
    return behaviour.halfFile() ? text.substring(0, text.length() / 2) : text;
  }

  /** Takes a table in. */
  synchronized void take(String text) {
    if (behaviour.protectedMemory()) {
      throw new RefusedException("ALARM 70: memory protect key is on");
    }
    List<String> lines = text.lines().toList();
    boolean framed =
        lines.size() == POCKETS + 2
            && lines.getFirst().equals(String.format(Locale.ROOT, "TOOLDATA INCH %3d", POCKETS));
    if (!framed) {
      throw new RefusedException(
          "ALARM 11: not a tool data file of %d registers".formatted(POCKETS));
    }
    checkSum(lines);
    for (int number = 1; number <= POCKETS; number++) {
      LengthAndRadius register = register(lines.get(number), number);
      if (register.equals(state.at(number))) {
        continue;
      }
      cut();
      if (number == behaviour.refuseRegister()) {
        throw new RefusedException("ALARM 32: register %d is locked".formatted(number));
      }
      put(number, register.length(), register.radius());
    }
    behaviour = behaviour.fileTaken();
  }

  private static void checkSum(List<String> lines) {
    BigDecimal sum = BigDecimal.ZERO;
    for (int number = 1; number <= POCKETS; number++) {
      LengthAndRadius register = register(lines.get(number), number);
      sum = sum.add(register.length()).add(register.radius());
    }
    String end = String.format(Locale.ROOT, "END %3d %13s", POCKETS, sum);
    if (!lines.getLast().equals(end)) {
      throw new RefusedException("ALARM 13: sum is " + sum);
    }
  }

  private static LengthAndRadius register(String line, int number) {
    boolean columns =
        line.length() == 25
            && line.startsWith(String.format(Locale.ROOT, "%3d H", number))
            && line.startsWith(" R", 14);
    try {
      if (columns) {
        return new LengthAndRadius(
            new BigDecimal(line.substring(5, 14).strip()),
            new BigDecimal(line.substring(16).strip()));
      }
    } catch (NumberFormatException word) {
      throw new RefusedException("ALARM 12: line '%s'".formatted(line));
    }
    throw new RefusedException("ALARM 12: line '%s'".formatted(line));
  }

  private void cut() {
    Integer left = behaviour.cutAfterRows();
    if (left == null) {
      return;
    }
    if (left <= 0) {
      behaviour = behaviour.cutTo(null);
      throw new CutOffException();
    }
    behaviour = behaviour.cutTo(left - 1);
  }
}
