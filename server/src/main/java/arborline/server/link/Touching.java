package arborline.server.link;

import org.jspecify.annotations.Nullable;

/**
 * One way in which things hang on another.
 *
 * @param words how one, or several of them, hang on it: {@code {holds|hold} it}
 * @param from where they are found: a query from its {@code from} on, with {@code :id} of what is
 *     changed and {@code :hidden}, the libraries that whoever asks does not see
 * @param tool column of tools of which only those count that whoever asks sees; null for none
 * @param counting how they are counted where there are many
 */
record Touching(
    TouchedEnd end, String words, String from, @Nullable String tool, Counting counting) {

  /**
   * How many there are, without what only their names are read from.
   *
   * @param counted what is counted, each once
   * @param from where
   */
  record Counting(String counted, String from) {}

  Touching(TouchedEnd end, String words, String from) {
    this(end, words, from, null);
  }

  Touching(TouchedEnd end, String words, String from, @Nullable String tool) {
    this(end, words, from, tool, new Counting(end.counted(), from));
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
    return "select count(distinct %s) %s"
        .formatted(counting.counted(), seen(counting.from(), some));
  }

  /** Without tools that stand in libraries that whoever asks does not see, and in no other. */
  private String seen(String found, boolean some) {
    return some && tool != null
        ? found
            + """
             and %s not in (select x.tool_id from entry x where x.library_id in (:hidden)
              and not exists (select 1 from entry y
                where y.tool_id = x.tool_id and y.library_id not in (:hidden)))\
            """
                .formatted(tool)
        : found;
  }

  /** What is said of one, or of several. */
  String words(long count) {
    return words.replaceAll("\\{(.*)\\|(.*)}", count == 1 ? "$1" : "$2");
  }
}
