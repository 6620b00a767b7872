package arborline.core.recipe;

import arborline.core.exchange.Cell;
import arborline.core.quantity.Unit;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.SortedMap;
import java.util.TreeMap;
import java.util.regex.MatchResult;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Reads class and sizes out of the words that describe a tool: {@code VHM-Schaftfräser D8 Z4 R0,5},
 * {@code 5/16-18 SPIRAL TAP}. What was understood is taken out before the next is looked for, so
 * that a number is never read twice.
 */
final class DescriptionReader {

  private static final String NUMBER = "(\\d+[\\s-]\\d+/\\d+|\\d+/\\d+|\\d+(?:[.,]\\d+)?|[.,]\\d+)";
  private static final String UNIT = "\\s*(mm\\b|in\\b|inch\\b|\"|thou\\b)?";

  /** What stands behind this in a description is no size. */
  private static final int LONGEST = 300;

  private static final String TAKEN = "\u0001";

  private static final Pattern STANDARD =
      pattern("\\b(?:DIN|ISO|EN|ANSI|ASME|NF|UNI|BS)\\s*(?:EN\\s*)?(?:ISO\\s*)?\\d+(?:-\\d+)?");
  private static final Pattern DEPTH_CLASS = pattern("\\b\\d+(?:[.,]\\d+)?\\s*x\\s*[Dd]\\b");
  private static final Pattern METRIC =
      pattern("\\bM\\s?(\\d+(?:[.,]\\d+)?)(?:\\s*[x\u00d7]\\s*(\\d+(?:[.,]\\d+)?))?(?![\\d.,])");
  private static final Pattern INCH_THREAD =
      pattern(
          "(?<![\\d/])(#\\d{1,2}|\\d+-\\d+/\\d+|\\d+/\\d+|\\d)\\s*-\\s*(\\d{1,2})\\s*(UNC|UNF|UNEF|UNS|UN|NPTF|NPT)?\\b");
  private static final Pattern ANGLE =
      pattern(
          "(\\d{1,3}(?:[.,]\\d+)?)\\s*(?:\u00b0|\u00ba|deg\\b|degrees?\\b|grad\\b|gradi\\b|degres\\b|grados\\b)");
  private static final Pattern TEETH = pattern("\\bZ\\s*=?\\s*(\\d{1,2})\\b");
  private static final Pattern TEETH_BEHIND =
      pattern(
          "\\b(\\d{1,2})\\s*-?\\s*(?:FL|FLT|FLUTES?|TEETH|SCHNEIDEN|Z\u00c4HNE|SCHNEIDER|DENTS|DENTI|DIENTES|TANDEN|TAGLIENTI|LABIOS)\\b");
  private static final Pattern INSERT_COUNT =
      pattern("\\b(\\d{1,2})\\s*-?\\s*(?:INSERTS?|PLATTEN|WSP)\\b");
  private static final Pattern PIPE_THREAD =
      pattern("\\b(R[cp]?|G)\\s?(\\d+/\\d+|\\d(?:\\s?-?\\s?\\d+/\\d+)?)(?![\\d/])");
  private static final Pattern RADIUS = pattern("\\b(?:CR|R)\\s*=?\\s*" + NUMBER + UNIT);
  private static final Pattern TAP_TOLERANCE =
      pattern("\\b(ISO\\s?[123](?:\\s?\\(?6H\\)?)?|[4567][HG]X?|[123]BX?)\\b");
  private static final Pattern HOLE_TOLERANCE = pattern("\\b(H\\d{1,2})\\b");
  private static final Pattern DIAMETER =
      pattern("(?:\\bD|[\u00d8\u00f8\u2300]|\\bDIA\\.?|\\bDIAM\\.?)\\s*=?\\s*" + NUMBER + UNIT);
  private static final Pattern GAUGE =
      pattern("(#\\s?\\d{1,2}\\b|\\b(?:LTR|LETTER|LET)\\.?\\s*[A-Z]\\b|\\bNO\\.?\\s?\\d{1,2}\\b)");
  private static final Pattern NAMED =
      Pattern.compile(
          "((?:\\p{L}[\\p{L}.]*[\\s-]){0,2}\\p{L}[\\p{L}.]+)\\s*[=:]?\\s*" + NUMBER + UNIT,
          Pattern.CASE_INSENSITIVE | Pattern.UNICODE_CASE);
  private static final Pattern REMAINING = pattern("(?<![\\p{L}\\d./])" + NUMBER + UNIT);

  private static final Set<Meaning> LENGTHS =
      Set.of(
          Meaning.LENGTH_CUTTING,
          Meaning.LENGTH_FLUTE,
          Meaning.LENGTH_OVERALL,
          Meaning.LENGTH_USABLE,
          Meaning.LENGTH_NECK,
          Meaning.SHANK,
          Meaning.NECK,
          Meaning.WIDTH,
          Meaning.BORE,
          Meaning.RADIUS,
          Meaning.DIAMETER,
          Meaning.DIAMETER_LARGEST,
          Meaning.DIAMETER_SMALLEST);
  private static final Set<String> THREADED =
      Set.of("tap-cutting", "tap-forming", "thread-mill", "die", "turning-threading");

  private final Unit assumed;
  private final SortedMap<String, Cell> cells = new TreeMap<>();
  private String text;
  private String toolClass;

  private DescriptionReader(String text, String toolClass, Unit assumed) {
    this.text = text;
    this.toolClass = toolClass;
    this.assumed = assumed;
  }

  private static Pattern pattern(String text) {
    return Pattern.compile(text, Pattern.CASE_INSENSITIVE | Pattern.UNICODE_CASE);
  }

  /**
   * What was understood.
   *
   * @param toolClass id; empty where the words name none
   * @param cells by symbol
   */
  record Read(String toolClass, SortedMap<String, Cell> cells) {}

  /**
   * Reads a description.
   *
   * @param knownClass class that something else says; empty where nothing does
   * @param assumed unit of a length that names none and is no fraction
   */
  static Read read(String written, String knownClass, Unit assumed) {
    String text = written.length() > LONGEST ? written.substring(0, LONGEST) : written;
    String named = ClassWords.find(text).map(ClassWords.Named::toolClass).orElse("");
    DescriptionReader reader =
        new DescriptionReader(text, knownClass.isEmpty() ? named : knownClass, assumed);
    if (!reader.toolClass.isEmpty()) {
      reader.sizes();
    }
    return new Read(reader.toolClass, reader.cells);
  }

  private void sizes() {
    substrate();
    take(STANDARD);
    take(DEPTH_CLASS);
    thread();
    angle();
    first(TEETH)
        .or(() -> first(TEETH_BEHIND))
        .ifPresent(found -> put(Meaning.TEETH, found.group(1)));
    first(INSERT_COUNT).ifPresent(found -> put(Meaning.INSERT_COUNT, found.group(1)));
    first(RADIUS).ifPresent(found -> size(Meaning.RADIUS, found.group(1), found.group(2)));
    tolerances();
    diameter();
    named();
    remaining();
  }

  /** The first find, which is taken out of the text. */
  private Optional<MatchResult> first(Pattern pattern) {
    Matcher matcher = pattern.matcher(text);
    if (!matcher.find()) {
      return Optional.empty();
    }
    MatchResult found = matcher.toMatchResult();
    text = text.substring(0, found.start()) + TAKEN + text.substring(found.end());
    return Optional.of(found);
  }

  private void take(Pattern pattern) {
    text = pattern.matcher(text).replaceAll(TAKEN);
  }

  private void substrate() {
    Substrates.find(text).ifPresent(id -> cells.put("SUBSTRATE", Cell.of(id)));
  }

  private void thread() {
    if (!THREADED.contains(toolClass)) {
      return;
    }
    Optional<MatchResult> metric = first(METRIC);
    if (metric.isPresent()) {
      String size = point(metric.get().group(1));
      String pitch = metric.get().group(2);
      cells.put(
          "TDZ", Cell.of(pitch == null ? "M" + size : "M%sx%s".formatted(size, point(pitch))));
      if (pitch != null) {
        cells.put("TP", Cell.of(point(pitch), Unit.MILLIMETRE));
      }
      return;
    }
    Optional<MatchResult> pipe = first(PIPE_THREAD);
    if (pipe.isPresent()) {
      cells.put("TDZ", Cell.of(pipe.get().group(1) + pipe.get().group(2)));
      return;
    }
    first(INCH_THREAD)
        .ifPresent(found -> {
          String form = found.group(3) == null ? "" : " " + found.group(3).toUpperCase(Locale.ROOT);
          cells.put("TDZ", Cell.of("%s-%s%s".formatted(found.group(1), found.group(2), form)));
          cells.put("TPI", Cell.of(found.group(2)));
        });
  }

  private void angle() {
    first(ANGLE).ifPresent(found -> put(Meaning.ANGLE, point(found.group(1)), Unit.DEGREE));
  }

  private void tolerances() {
    if (THREADED.contains(toolClass)) {
      first(TAP_TOLERANCE).ifPresent(found -> cells.put("TCTR", Cell.of(found.group(1))));
    } else if (toolClass.equals("reamer")) {
      first(HOLE_TOLERANCE).ifPresent(found -> cells.put("TCHA", Cell.of(found.group(1))));
    } else {
      take(HOLE_TOLERANCE);
    }
  }

  private void diameter() {
    Optional<MatchResult> gauge = first(GAUGE);
    if (gauge.isPresent()) {
      WireSizes.inches(gauge.get().group(1).replaceAll("\\s+", " "))
          .ifPresent(inches -> put(Meaning.DIAMETER, inches, Unit.INCH));
      return;
    }
    first(DIAMETER).ifPresent(found -> size(Meaning.DIAMETER, found.group(1), found.group(2)));
  }

  /** Numbers behind a word that names a length: {@code Gesamtlänge 83}. */
  private void named() {
    Matcher matcher = NAMED.matcher(text);
    List<MatchResult> found = new ArrayList<>();
    while (matcher.find()) {
      found.add(matcher.toMatchResult());
    }
    for (MatchResult one : found) {
      String[] words = Words.normal(one.group(1)).split(" ");
      for (int from = 0; from < words.length; from++) {
        String phrase = String.join(" ", List.of(words).subList(from, words.length));
        Optional<Meaning> meaning =
            phrase.length() < 2 ? Optional.empty() : HeaderWords.meaning(phrase);
        if (meaning.filter(LENGTHS::contains).isPresent()) {
          size(meaning.get(), one.group(2), one.group(3));
          text = text.replace(one.group(), TAKEN);
          break;
        }
      }
    }
  }

  /** One number that is left is the diameter, where nothing said so yet. */
  private void remaining() {
    String symbol = MeaningSymbols.of(Meaning.DIAMETER, toolClass).orElse("DC");
    if (cells.containsKey(symbol) || cells.containsKey("TDZ")) {
      return;
    }
    Matcher matcher = REMAINING.matcher(text);
    List<MatchResult> left = new ArrayList<>();
    while (matcher.find()) {
      left.add(matcher.toMatchResult());
    }
    List<MatchResult> sizes =
        left.stream().filter(one -> one.group(2) != null || !one.group(1).matches("\\d+")).toList();
    if (sizes.size() == 1) {
      size(Meaning.DIAMETER, sizes.getFirst().group(1), sizes.getFirst().group(2));
    } else if (sizes.isEmpty() && left.size() == 1) {
      size(Meaning.DIAMETER, left.getFirst().group(1), null);
    }
  }

  private void size(Meaning meaning, String number, String unit) {
    boolean inch = number.contains("/") || number.startsWith(".") && unit == null;
    Unit own = unit == null ? inch ? Unit.INCH : assumed : Unit.named(unit).orElse(assumed);
    put(meaning, point(number), own);
  }

  private void put(Meaning meaning, String number) {
    MeaningSymbols.of(meaning, toolClass)
        .ifPresent(symbol -> cells.putIfAbsent(symbol, Cell.of(number)));
  }

  private void put(Meaning meaning, String number, Unit unit) {
    MeaningSymbols.of(meaning, toolClass)
        .ifPresent(symbol -> cells.putIfAbsent(symbol, Cell.of(number, unit)));
  }

  private static String point(String number) {
    String plain = number.replace(',', '.');
    return plain.startsWith(".") ? "0" + plain : plain;
  }
}
