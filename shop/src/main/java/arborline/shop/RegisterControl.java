package arborline.shop;

import arborline.shop.RegisterState.LengthAndRadius;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;

/**
 * A simulated older control: 24 pockets, one length and one radius register each, inches. Its table
 * is punched out and taken in whole; registers before a fault stay changed, as on a real one.
 */
final class RegisterControl extends SimulatedControl<RegisterState> {

  static final String TABLE = "TOOLS.TXT";
  static final int POCKETS = 24;
  private static final int DECIMALS = 4;

  RegisterControl(StateFile<RegisterState> file) {
    super(file);
  }

  @Override
  public synchronized String document(String name) {
    return name.equals(TABLE) ? punch() : null;
  }

  @Override
  public synchronized boolean take(String name, String text) {
    if (!name.equals(TABLE)) {
      return false;
    }
    take(text);
    return true;
  }

  /**
   * What the operator keys in.
   *
   * @param length null leaves it as it is
   * @param radius null leaves it as it is
   */
  record PanelEntry(int number, BigDecimal length, BigDecimal radius) {}

  @Override
  synchronized void operated(String json) {
    PanelEntry entry = PanelEndpoint.JSON.readValue(json, PanelEntry.class);
    LengthAndRadius now = state().at(entry.number());
    put(
        entry.number(),
        entry.length() == null ? now.length() : entry.length(),
        entry.radius() == null ? now.radius() : entry.radius());
  }

  private void put(int number, BigDecimal length, BigDecimal radius) {
    state().registers().put(number, new LengthAndRadius(shown(length), shown(radius)));
    remember(state());
  }

  private static BigDecimal shown(BigDecimal value) {
    return value.setScale(DECIMALS, RoundingMode.HALF_UP);
  }

  /** The whole table as text. */
  synchronized String punch() {
    List<String> lines = new ArrayList<>();
    lines.add(String.format(Locale.ROOT, "TOOLDATA INCH %3d", POCKETS));
    BigDecimal sum = BigDecimal.ZERO;
    for (int number = 1; number <= POCKETS; number++) {
      LengthAndRadius register = state().at(number);
      sum = sum.add(register.length()).add(register.radius());
      lines.add(
          String.format(
              Locale.ROOT, "%3d H%9s R%9s", number, register.length(), register.radius()));
    }
    lines.add(String.format(Locale.ROOT, "END %3d %13s", POCKETS, sum));
    return String.join("\r\n", lines) + "\r\n";
  }

  /** Takes a table in. */
  synchronized void take(String text) {
    needWritable();
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
      if (register.equals(state().at(number))) {
        continue;
      }
      row();
      needUnlocked(number);
      put(number, register.length(), register.radius());
    }
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
}
