package arborline.core.recipe;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * Which class words name, in six languages. The longest phrase that stands in a text wins; long
 * words are found inside compounds as well.
 */
final class ClassWords {

  /** From how many letters on a word may be part of a longer one. */
  private static final int COMPOUND = 6;

  private static final int LONGEST = 300;

  /**
   * A class and the words that name it.
   *
   * @param toolClass its id
   */
  record Named(String toolClass, String words) {}

  private static final List<Named> LONGEST_FIRST = load();

  private ClassWords() {}

  private static List<Named> load() {
    Map<String, String> table = WordTable.read("class-words.tsv");
    List<Named> named = new ArrayList<>();
    table.forEach((words, toolClass) -> named.add(new Named(toolClass, words)));
    named.sort(Comparator.comparing((Named one) -> -one.words().length()));
    return List.copyOf(named);
  }

  /** The class that a text names; nothing where no word of it names one. */
  static Optional<Named> find(String text) {
    String words =
        " " + Words.normal(text.length() > LONGEST ? text.substring(0, LONGEST) : text) + " ";
    return LONGEST_FIRST.stream().filter(named -> stands(named.words(), words)).findFirst();
  }

  private static boolean stands(String phrase, String words) {
    if (words.contains(" " + phrase + " ") || words.contains(" " + phrase + "s ")) {
      return true;
    }
    return phrase.length() >= COMPOUND && phrase.indexOf(' ') < 0 && words.contains(phrase);
  }
}
