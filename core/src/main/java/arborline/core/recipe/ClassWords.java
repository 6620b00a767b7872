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
public final class ClassWords {

  /** From how many letters on a word may be part of a longer one. */
  private static final int COMPOUND = 6;

  private static final int LONGEST = 300;

  /**
   * A class and the words that name it.
   *
   * @param toolClass its id
   */
  record Named(String toolClass, String words) {}

  /** Words as they stand among others: one tool of a kind, several, inside of a longer word. */
  private record Phrase(Named named, String one, String several, boolean inside) {

    static Phrase of(Named named) {
      String words = named.words();
      return new Phrase(
          named,
          " " + words + " ",
          " " + words + "s ",
          words.length() >= COMPOUND && words.indexOf(' ') < 0);
    }

    boolean stands(String text) {
      return inside && text.contains(named.words()) || text.contains(one) || text.contains(several);
    }
  }

  private static final List<Phrase> LONGEST_FIRST = load();

  private ClassWords() {}

  private static List<Phrase> load() {
    Map<String, String> table = WordTable.read("class-words.tsv");
    List<Named> named = new ArrayList<>();
    table.forEach((words, toolClass) -> named.add(new Named(toolClass, words)));
    named.sort(Comparator.comparing((Named one) -> -one.words().length()));
    return named.stream().map(Phrase::of).toList();
  }

  /** Id of the class that a text names; nothing where no word of it names one. */
  public static Optional<String> classOf(String text) {
    return find(text).map(Named::toolClass);
  }

  /** The class that a text names, with the words; nothing where no word of it names one. */
  static Optional<Named> find(String text) {
    String words =
        " " + Words.normal(text.length() > LONGEST ? text.substring(0, LONGEST) : text) + " ";
    return LONGEST_FIRST.stream()
        .filter(phrase -> phrase.stands(words))
        .map(Phrase::named)
        .findFirst();
  }
}
