package arborline.core.recipe;

import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Pattern;

/** What edges are made of, by the words of the trade; letters of ISO 513, or HSS. */
final class Substrates {

  private static final Map<Pattern, String> WORDS = new LinkedHashMap<>();

  static {
    word("HSS-?PM|HSS-?E-?PM|PM-?HSS", "HSS-PM");
    word("HSS-?E|HSS-?CO\\d?|HSCO|HSSCO|COBALT|M42", "HSS-E");
    word("HSS|HS|SS|HSS-?R", "HSS");
    word("PKD|PCD|DIAMANT|DIAMOND", "DP");
    word("CBN|BN", "BN");
    word(
        "VHM|HM|CARBIDE|SOLID CARBIDE|CARBURE|MD|METALLO DURO|METAL DURO|HARDMETAAL|HARTMETALL",
        "HW");
  }

  private Substrates() {}

  private static void word(String words, String id) {
    WORDS.put(
        Pattern.compile("(?<!\\p{L})(?:%s)(?!\\p{L})".formatted(words), Pattern.CASE_INSENSITIVE),
        id);
  }

  /** The substrate that a text names. */
  static Optional<String> find(String text) {
    return WORDS.entrySet().stream()
        .filter(word -> word.getKey().matcher(text).find())
        .map(Map.Entry::getValue)
        .findFirst();
  }
}
