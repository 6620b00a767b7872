package arborline.core.recipe;

import java.util.EnumSet;
import java.util.HashMap;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * What the words of header cells mean, in English, German, French, Italian, Spanish and Dutch:
 * whole phrases and abbreviations first, else what their parts say together, compounds taken apart.
 */
final class HeaderWords {

  /** What a part of a word can say. */
  private enum Concept {
    DIA,
    RAD,
    LEN,
    ANG,
    NUM,
    WID,
    CUT,
    FLUTE,
    ALL,
    SHANK,
    NECK,
    CORNER,
    CORNERRAD,
    POINT,
    TOOTH,
    USE,
    BORE,
    THREAD,
    HELIX,
    BALL,
    MAX,
    MIN,
    SKIP
  }

  private static final Map<String, Meaning> PHRASES = new HashMap<>();
  private static final Map<String, Concept> TOKENS = new HashMap<>();
  private static final int LONGEST_TOKEN = 14;

  static {
    WordTable.read("header-words.tsv")
        .forEach((words, meaning) -> PHRASES.put(words, Meaning.valueOf(meaning)));
    WordTable.read("header-tokens.tsv")
        .forEach((token, concept) ->
            TOKENS.put(token, Concept.valueOf(concept.toUpperCase(Locale.ROOT))));
  }

  private HeaderWords() {}

  /** The meaning of a whole phrase that stands in the table. */
  static Optional<Meaning> phrase(String words) {
    return Optional.ofNullable(PHRASES.get(words));
  }

  /**
   * What words mean.
   *
   * @param words as {@link Words#normal} gives them
   */
  static Optional<Meaning> meaning(String words) {
    Optional<Meaning> phrase = phrase(words);
    return phrase.isPresent() || words.isEmpty()
        ? phrase
        : concepts(words).flatMap(HeaderWords::of);
  }

  /** All concepts of the words; nothing where a part of them is unknown. */
  private static Optional<Set<Concept>> concepts(String words) {
    Set<Concept> found = EnumSet.noneOf(Concept.class);
    for (String word : words.split(" ")) {
      if (!takeApart(word, found)) {
        return Optional.empty();
      }
    }
    return Optional.of(found);
  }

  private static boolean takeApart(String word, Set<Concept> found) {
    int at = 0;
    while (at < word.length()) {
      int end = Math.min(word.length(), at + LONGEST_TOKEN);
      while (end > at && !TOKENS.containsKey(word.substring(at, end))) {
        end--;
      }
      boolean linking = at > 0 && end == at && "nse".indexOf(word.charAt(at)) >= 0;
      if (end == at && !linking) {
        return word.matches("d\\d?|\\d+") && at == 0;
      }
      if (end > at) {
        found.add(TOKENS.get(word.substring(at, end)));
      }
      at = Math.max(end, at + 1);
    }
    return true;
  }

  private static Optional<Meaning> of(Set<Concept> said) {
    if (said.contains(Concept.RAD) || said.contains(Concept.CORNERRAD)) {
      return Optional.of(Meaning.RADIUS);
    }
    if (said.contains(Concept.DIA)) {
      return Optional.of(diameter(said));
    }
    if (said.contains(Concept.LEN)) {
      return Optional.of(length(said));
    }
    if (said.contains(Concept.ANG)) {
      return Optional.of(angle(said));
    }
    return rest(said);
  }

  private static Meaning diameter(Set<Concept> said) {
    if (said.contains(Concept.SHANK)) {
      return Meaning.SHANK;
    }
    if (said.contains(Concept.NECK)) {
      return Meaning.NECK;
    }
    if (said.contains(Concept.BORE)) {
      return Meaning.BORE;
    }
    if (said.contains(Concept.MAX)) {
      return Meaning.DIAMETER_LARGEST;
    }
    return said.contains(Concept.MIN) || said.contains(Concept.POINT)
        ? Meaning.DIAMETER_SMALLEST
        : Meaning.DIAMETER;
  }

  private static Meaning length(Set<Concept> said) {
    if (said.contains(Concept.FLUTE)) {
      return Meaning.LENGTH_FLUTE;
    }
    if (said.contains(Concept.SHANK)) {
      return Meaning.LENGTH_SHANK;
    }
    if (said.contains(Concept.NECK)) {
      return Meaning.LENGTH_NECK;
    }
    if (said.contains(Concept.USE)) {
      return Meaning.LENGTH_USABLE;
    }
    return said.contains(Concept.CUT) ? Meaning.LENGTH_CUTTING : Meaning.LENGTH_OVERALL;
  }

  private static Meaning angle(Set<Concept> said) {
    if (said.contains(Concept.POINT)) {
      return Meaning.ANGLE_POINT;
    }
    return said.contains(Concept.HELIX) ? Meaning.ANGLE_HELIX : Meaning.ANGLE;
  }

  private static Optional<Meaning> rest(Set<Concept> said) {
    boolean counted = said.contains(Concept.NUM);
    if (said.contains(Concept.TOOTH)
        || counted && (said.contains(Concept.CUT) || said.contains(Concept.FLUTE))) {
      return Optional.of(Meaning.TEETH);
    }
    if (said.contains(Concept.WID)) {
      return Optional.of(Meaning.WIDTH);
    }
    if (said.contains(Concept.SHANK)) {
      return Optional.of(Meaning.SHANK);
    }
    if (said.contains(Concept.FLUTE)) {
      return Optional.of(Meaning.LENGTH_FLUTE);
    }
    if (said.contains(Concept.ALL)) {
      return Optional.of(Meaning.LENGTH_OVERALL);
    }
    if (said.contains(Concept.CORNER)) {
      return Optional.of(Meaning.RADIUS);
    }
    return Optional.empty();
  }
}
