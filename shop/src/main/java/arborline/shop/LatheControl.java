package arborline.shop;

import arborline.shop.LatheState.Offset;
import arborline.shop.LatheState.Station;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.Map;
import java.util.TreeMap;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * A simulated turning centre: offsets of X (as a diameter), Z, R and Q under library numbers,
 * punched out and taken in as a G10 program, wear apart; a table of what its stations hold. After
 * power-up no tool counts as set until it is touched off or its geometry is taken in.
 */
final class LatheControl extends SimulatedControl<LatheState> {

  private static final int STATIONS = 16;
  private static final int FIRST = 601;
  private static final int LAST = 680;
  private static final int GEOMETRY = 10_000;
  private static final int DECIMALS = 3;
  private static final String LETTERS = "XZRQ";
  private static final Pattern BLOCK = Pattern.compile("G10 P(\\d{1,5})((?: [XZRQ]-?[\\d.]*)*)");
  private static final Pattern ROW = Pattern.compile("(\\d{1,2})\t(\\d{1,4}|-)\t(\\d{1,4}|-)");

  LatheControl(StateFile<LatheState> file) {
    super(file);
  }

  @Override
  public synchronized String document(String name) {
    return switch (name) {
      case "offsets.nc" -> punched();
      case "numbers.tsv" -> numbers();
      case "assets" -> assets();
      default -> null;
    };
  }

  @Override
  public synchronized boolean take(String name, String text) {
    switch (name) {
      case "offsets.nc" -> offsets(text);
      case "numbers.tsv" -> numbers(text);
      default -> {
        return false;
      }
    }
    return true;
  }

  private String punched() {
    StringBuilder text = new StringBuilder("%\n(L1 TOOL OFFSETS)\nG21 G90\n");
    state()
        .offsets()
        .forEach((number, offset) ->
            text.append("G10 P%d%s\n".formatted(GEOMETRY + number, words(offset.geometry())))
                .append("G10 P%d%s\n".formatted(number, words(offset.wear()))));
    return text.append("M30\n%\n").toString();
  }

  private static String words(Map<String, BigDecimal> values) {
    StringBuilder words = new StringBuilder();
    for (String letter : LETTERS.split("")) {
      BigDecimal value = values.get(letter);
      if (value != null) {
        words.append(' ').append(letter).append(value.toPlainString());
      }
    }
    return words.toString();
  }

  private String numbers() {
    StringBuilder text = new StringBuilder("station\tnumber\tprogram\n");
    for (int place = 1; place <= STATIONS; place++) {
      Station station = state().stations().get(place);
      text.append(
          station == null
              ? "%d\t-\t-\n".formatted(place)
              : "%d\t%d\t%s\n"
                  .formatted(
                      place,
                      station.number(),
                      station.program() == 0 ? "-" : Integer.toString(station.program())));
    }
    return text.toString();
  }

  /** Which tools are set, as MTConnect assets. */
  private String assets() {
    StringBuilder tools = new StringBuilder();
    state()
        .offsets()
        .forEach((number, offset) ->
            tools.append(
                """
                <CuttingTool assetId="L1-%1$d" toolId="%1$d" timestamp="%3$s">
                <CuttingToolLifeCycle><CutterStatus><Status>%2$s</Status></CutterStatus>
                <ProgramToolNumber>%1$d</ProgramToolNumber></CuttingToolLifeCycle>
                </CuttingTool>
                """
                    .formatted(number, offset.set() ? "MEASURED" : "AVAILABLE", now())));
    return AssetXml.document("L1", now(), tools.toString(), state().offsets().size());
  }

  private void offsets(String program) {
    needWritable();
    for (String line : program.split("\n")) {
      String block = line.replaceAll("\\([^)]*\\)", "").strip();
      Matcher offset = BLOCK.matcher(block);
      if (offset.matches()) {
        row();
        register(Integer.parseInt(offset.group(1)), offset.group(2).strip());
      } else if (!block.matches("%?|G21 G90|M30")) {
        throw new RefusedException("ALARM 010: block '" + block + "' is not possible here");
      }
    }
  }

  private void register(int address, String words) {
    boolean geometry = address > GEOMETRY;
    int number = geometry ? address - GEOMETRY : address;
    if (number < FIRST || number > LAST) {
      throw new RefusedException("ALARM 030: there is no offset " + number);
    }
    needUnlocked(number);
    Offset offset = state().at(number);
    TreeMap<String, BigDecimal> values =
        new TreeMap<>(geometry ? offset.geometry() : offset.wear());
    for (String word : words.isEmpty() ? new String[0] : words.split(" ")) {
      put(values, word.substring(0, 1), word.substring(1));
    }
    keep(
        number,
        geometry
            ? new Offset(values, offset.wear(), true)
            : new Offset(offset.geometry(), values, offset.set()));
  }

  private static void put(Map<String, BigDecimal> values, String letter, String text) {
    if (text.isEmpty()) {
      values.remove(letter);
      return;
    }
    try {
      BigDecimal value = new BigDecimal(text.endsWith(".") ? text + "0" : text);
      values.put(letter, value.setScale(letter.equals("Q") ? 0 : DECIMALS, RoundingMode.HALF_UP));
    } catch (NumberFormatException word) {
      throw new RefusedException("ALARM 012: word '%s%s'".formatted(letter, text));
    }
  }

  private void keep(int number, Offset offset) {
    state().offsets().put(number, offset);
    remember(state());
  }

  private void numbers(String table) {
    needWritable();
    for (String line : table.split("\n")) {
      if (line.startsWith("station\t") || line.isBlank()) {
        continue;
      }
      Matcher cells = ROW.matcher(line);
      int place = cells.matches() ? Integer.parseInt(cells.group(1)) : 0;
      if (place < 1 || place > STATIONS) {
        throw new RefusedException("ALARM 041: row '" + line + "' is no station");
      }
      row();
      if (cells.group(2).equals("-")) {
        state().stations().remove(place);
      } else {
        int number = Integer.parseInt(cells.group(2));
        int program = cells.group(3).equals("-") ? 0 : Integer.parseInt(cells.group(3));
        state().stations().values().removeIf(held -> held.number() == number);
        state().stations().put(place, new Station(number, program));
      }
      remember(state());
    }
  }

  /**
   * What happens at the machine.
   *
   * @param power true to switch it off and on
   * @param number whose geometry is touched off
   * @param values by letter; null leaves all as it is
   * @param wear by letter; null leaves all as it is
   */
  record PanelEntry(
      boolean power,
      int number,
      TreeMap<String, BigDecimal> values,
      TreeMap<String, BigDecimal> wear) {}

  @Override
  synchronized void operated(String json) {
    PanelEntry entry = PanelEndpoint.JSON.readValue(json, PanelEntry.class);
    if (entry.power()) {
      state().offsets().replaceAll((number, offset) -> offset.set(false));
      remember(state());
      return;
    }
    Offset now = state().at(entry.number());
    TreeMap<String, BigDecimal> geometry = new TreeMap<>(now.geometry());
    TreeMap<String, BigDecimal> wear = new TreeMap<>(now.wear());
    if (entry.values() != null) {
      geometry.putAll(entry.values());
    }
    if (entry.wear() != null) {
      wear.putAll(entry.wear());
    }
    keep(entry.number(), new Offset(geometry, wear, now.set() || entry.values() != null));
  }
}
