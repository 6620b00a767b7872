package arborline.server.view;

import arborline.server.support.Refusal;
import java.math.BigDecimal;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * What a view of a list of tools is.
 *
 * @param columns ids in their order; null for those that follow what is listed
 * @param group by what it is grouped; null for nothing
 * @param sort by what it is sorted; null for the code
 * @param board true for silhouettes in place of rows
 * @param q words and conditions
 * @param classes class ids
 * @param diaMin least diameter, mm
 */
record ViewDefinition(
    @Nullable List<@Nullable String> columns,
    @Nullable String group,
    @Nullable String sort,
    @Nullable Boolean down,
    @Nullable Boolean board,
    @Nullable String q,
    @Nullable List<@Nullable String> classes,
    @Nullable BigDecimal diaMin,
    @Nullable BigDecimal diaMax,
    @Nullable String material) {

  private static final int MOST = 100;
  private static final int LONGEST_WORD = 40;
  private static final int LONGEST_SEARCH = 300;
  private static final BigDecimal WIDEST = new BigDecimal("1000000");

  /**
   * Refuses what no list can be asked for.
   *
   * @throws Refusal that names the member
   */
  void check() {
    words("columns", columns);
    words("classes", classes);
    word("group", group);
    word("sort", sort);
    if (q != null && q.length() > LONGEST_SEARCH) {
      throw Refusal.badRequest("q has at most %d characters".formatted(LONGEST_SEARCH));
    }
    if (material != null && material.length() > LONGEST_SEARCH) {
      throw Refusal.badRequest("material has at most %d characters".formatted(LONGEST_SEARCH));
    }
    size("diaMin", diaMin);
    size("diaMax", diaMax);
  }

  private static void words(String member, @Nullable List<@Nullable String> words) {
    if (words == null) {
      return;
    }
    if (words.size() > MOST || words.stream().anyMatch(Objects::isNull)) {
      throw Refusal.badRequest("%s is a list of at most %d words".formatted(member, MOST));
    }
    words.forEach(word -> word(member, word));
  }

  private static void word(String member, @Nullable String word) {
    if (Optional.ofNullable(word).orElse("").length() > LONGEST_WORD) {
      throw Refusal.badRequest(
          "a word of %s has at most %d characters".formatted(member, LONGEST_WORD));
    }
  }

  private static void size(String member, @Nullable BigDecimal size) {
    if (size != null && (size.signum() < 0 || size.compareTo(WIDEST) > 0 || size.scale() > 6)) {
      throw Refusal.badRequest("%s is a diameter in mm from 0 to %s".formatted(member, WIDEST));
    }
  }
}
