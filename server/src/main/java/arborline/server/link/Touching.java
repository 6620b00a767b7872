package arborline.server.link;

import org.jspecify.annotations.Nullable;

/**
 * One way in which things hang on another.
 *
 * @param words how one, or several of them, hang on it: {@code {holds|hold} it}
 * @param from where they are found: a query from its {@code from} on, with {@code :id} of what is
 *     changed and {@code :hidden}, the libraries that whoever asks does not see
 * @param tool column of tools of which only those count that whoever asks sees; null for none
 * @param counted what is counted of it, each once, where there are many
 * @param counting where it is counted: without what only its name is read from
 */
record Touching(
    TouchedEnd end,
    String words,
    String from,
    @Nullable String tool,
    String counted,
    String counting) {

  Touching(TouchedEnd end, String words, String from) {
    this(end, words, from, null);
  }

  Touching(TouchedEnd end, String words, String from, @Nullable String tool) {
    this(end, words, from, tool, end.counted(), from);
  }

  /**
   * A query of those that whoever asks sees.
   *
   * @param columns that are read
   * @param some true where there are libraries that he does not see
   */
  String query(String columns, boolean some) {
    return "select distinct %s %s".formatted(columns, seen(from, some));
  }

  /** How many there are of them. */
  String count(boolean some) {
    return "select count(distinct %s) %s".formatted(counted, seen(counting, some));
  }

  private String seen(String found, boolean some) {
    return some && tool != null
        ? found
            + """
             and (exists (select 1 from entry x where x.tool_id = %1$s and x.library_id not in (:hidden))
              or not exists (select 1 from entry x where x.tool_id = %1$s))\
            """
                .formatted(tool)
        : found;
  }

  /** What is said of one, or of several. */
  String words(long count) {
    return words.replaceAll("\\{(.*)\\|(.*)}", count == 1 ? "$1" : "$2");
  }
}
