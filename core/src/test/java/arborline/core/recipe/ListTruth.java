package arborline.core.recipe;

import arborline.core.exchange.BundleFormats;
import arborline.core.exchange.Grouping;
import arborline.core.exchange.ItemKind;
import arborline.core.exchange.RawBundle;
import arborline.core.exchange.TableReading;
import arborline.core.inspect.Disposition;
import arborline.core.inspect.Inspected;
import arborline.core.inspect.Inspector;
import arborline.core.tool.Completed;
import arborline.core.tool.Tool;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Compares what was read of a list with the reading that a practitioner would give. */
final class ListTruth {

  private static final Path FOLDER = Path.of("src/test/resources/vectors/lists");
  private static final Map<String, List<String>> ALSO =
      Map.ofEntries(
          Map.entry("APMX", List.of("LCF")),
          Map.entry("LCF", List.of("APMX")),
          Map.entry("LU", List.of("LN")),
          Map.entry("NOF", List.of("ZEFP")),
          Map.entry("ZEFP", List.of("CICT", "NOF")),
          Map.entry("CICT", List.of("ZEFP", "NOF")),
          Map.entry("TD", List.of("DC")),
          Map.entry("TPI", List.of("TP")),
          Map.entry("DC", List.of("DCX")),
          Map.entry("DCX", List.of("DC")),
          Map.entry("LF", List.of("LPR")),
          Map.entry("DCONMS", List.of("DCON")),
          Map.entry("DMM", List.of("DCONMS")));
  private static final Map<String, String> CLASSES =
      Map.ofEntries(
          Map.entry("end-mill-flat", "end mill, square"),
          Map.entry("end-mill-corner-radius", "end mill, corner radius"),
          Map.entry("end-mill-ball", "end mill, ball"),
          Map.entry("drill-twist", "twist drill"),
          Map.entry("drill-spot", "spot drill"),
          Map.entry("chamfer-mill", "chamfer mill"),
          Map.entry("countersink", "countersink"),
          Map.entry("reamer", "reamer"),
          Map.entry("tap-cutting", "cutting tap"),
          Map.entry("tap-forming", "forming tap"),
          Map.entry("thread-mill", "thread mill"),
          Map.entry("face-mill", "face mill"),
          Map.entry("slot-mill-t", "T-slot; keyseat"),
          Map.entry("slot-mill-disc", "disc slot/side-and-face"),
          Map.entry("dovetail-mill", "dovetail"),
          Map.entry("router-compression", "router bit"),
          Map.entry("saw-blade", "saw blade"),
          Map.entry("probe-touch", "touch probe"),
          Map.entry("turning-external", "external turning"),
          Map.entry("turning-internal", "internal turning"),
          Map.entry("turning-neutral", "neutral profiling"),
          Map.entry("insert", "insert"),
          Map.entry("holder", "holder"),
          Map.entry("arbor", "holder"));

  private final List<String> wrong = new ArrayList<>();
  private final List<String> silent = new ArrayList<>();
  private int asked;
  private int right;

  private ListTruth() {}

  static List<String> names() throws IOException {
    try (var files = Files.list(FOLDER)) {
      return files
          .map(file -> file.getFileName().toString())
          .filter(name -> name.endsWith(".json") && !name.startsWith("README"))
          .sorted()
          .toList();
    }
  }

  static List<String> files() throws IOException {
    try (var files = Files.list(FOLDER)) {
      return files
          .map(file -> file.getFileName().toString())
          .filter(name -> !name.endsWith(".json"))
          .sorted()
          .toList();
    }
  }

  static byte[] bytes(String file) throws IOException {
    return Files.readAllBytes(FOLDER.resolve(file));
  }

  static ListTruth of(String name) throws IOException {
    JsonNode truth = JsonMapper.builder().build().readTree(FOLDER.resolve(name).toFile());
    List<Inspected> read = read(Files.readAllBytes(FOLDER.resolve(truth.get("file").asString())));
    ListTruth result = new ListTruth();
    truth.get("tools").forEach(tool -> result.compare(tool, read));
    return result;
  }

  private static List<Inspected> read(byte[] file) throws IOException {
    byte[] head = Arrays.copyOf(file, Math.min(file.length, 65536));
    List<Inspected> read = new ArrayList<>();
    try (Grouping grouping =
        new Grouping(
            BundleFormats.recognise(head)
                .open(new ByteArrayInputStream(file), head, TableReading.propose(head)))) {
      for (Optional<RawBundle> next = grouping.next(); next.isPresent(); next = grouping.next()) {
        read.add(Inspector.inspect(next.get()));
      }
    }
    return read;
  }

  private void compare(JsonNode tool, List<Inspected> read) {
    long line = tool.get("line").asLong();
    Optional<Inspected> found =
        read.stream()
            .filter(one -> one.raw().item().line() == line)
            .filter(one -> one.kind() != ItemKind.REMARK)
            .findFirst();
    if (found.isEmpty()) {
      asked += 2 + tool.get("values").size();
      wrong.add("line %d is not read as a tool".formatted(line));
      return;
    }
    identity(tool, found.get());
    tool.get("values").properties().forEach(value -> value(line, value, found.get()));
    if (tool.has("texts")) {
      tool.get("texts").properties().forEach(text -> text(line, text, found.get()));
    }
    check(
        line,
        "cutting",
        tool.get("cutting").asString(),
        Integer.toString(found.get().raw().cutting().size()),
        found.get());
    boolean passes = found.get().disposition() == Disposition.PASS;
    if (!tool.get("sound").asBoolean()
        && passes
        && !tool.get("fault").asString().equals("duplicate-code")) {
      silent.add("line %d passes in spite of %s".formatted(line, tool.get("fault").asString()));
    }
    if (tool.get("sound").asBoolean() && found.get().disposition() == Disposition.HOLD) {
      silent.add("line %d is held: %s".formatted(line, found.get().findings()));
    }
  }

  private void identity(JsonNode tool, Inspected found) {
    long line = tool.get("line").asLong();
    if (!tool.get("code").isNull()) {
      check(
          line,
          "code",
          tool.get("code").asString().replace(" ", ""),
          found.tool().code().replace(" ", ""),
          found);
    }
    check(
        line,
        "class",
        tool.get("class").asString(),
        CLASSES.getOrDefault(found.tool().toolClass(), found.tool().toolClass()),
        found);
  }

  private void value(long line, Map.Entry<String, JsonNode> value, Inspected found) {
    double wanted = value.getValue().asDouble();
    List<String> symbols = new ArrayList<>(List.of(value.getKey()));
    symbols.addAll(ALSO.getOrDefault(value.getKey(), List.of()));
    String got = "none";
    for (String symbol : symbols) {
      Double size = size(found, symbol);
      if (size != null && value.getKey().equals("TPI") && symbol.equals("TP")) {
        size = 25.4 / size;
      }
      if (size != null) {
        got = symbol + " " + size;
        if (Math.abs(size - wanted) <= tolerance(value.getKey(), found)) {
          asked++;
          right++;
          return;
        }
      }
    }
    check(line, value.getKey(), Double.toString(wanted), got, found);
  }

  private static double tolerance(String symbol, Inspected found) {
    if (symbol.equals("S")) {
      return 0.02;
    }
    boolean angle = Set.of("SIG", "KAPR", "EPSR").contains(symbol);
    return angle ? 0.05 : symbol.equals("DC") ? 0.01 : 0.005;
  }

  private static Double size(Inspected found, String symbol) {
    if (found.component().isPresent()) {
      String text = found.component().get().properties().get(symbol);
      return text == null ? null : Double.valueOf(text.split(" ")[0]);
    }
    Tool tool = Completed.of(found.tool()).tool();
    return tool.size(symbol) == null ? null : tool.size(symbol).doubleValue();
  }

  private void text(long line, Map.Entry<String, JsonNode> text, Inspected found) {
    String wanted = text.getValue().asString();
    String got =
        found
            .component()
            .map(part -> text.getKey().equals("CCMS") ? part.machineSide() : part.workSide())
            .orElseGet(() -> found.tool().word(text.getKey()).orElse("none"));
    boolean begins = text.getKey().equals("TDZ") && got.toUpperCase(Locale.ROOT).startsWith(wanted);
    boolean family =
        text.getKey().startsWith("CC") && got.split("-")[0].equals(wanted.split("-")[0]);
    check(line, text.getKey(), wanted, begins || family ? wanted : got, found);
  }

  private void check(long line, String what, String wanted, String got, Inspected found) {
    asked++;
    if (wanted.equals(got)) {
      right++;
      return;
    }
    String sentence =
        "line %d %s: %s, not %s [%s]".formatted(line, what, got, wanted, found.disposition());
    wrong.add(sentence);
    if (!got.equals("none") && found.disposition() == Disposition.PASS) {
      silent.add(sentence);
    }
  }

  int percent() {
    return asked == 0 ? 0 : right * 100 / asked;
  }

  List<String> wrong() {
    return wrong;
  }

  /** Wrong and passing, or sound and held. */
  List<String> silent() {
    return silent;
  }
}
