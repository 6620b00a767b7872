package arborline.server.library;

import arborline.core.library.SearchText;
import arborline.server.support.Refusal;
import jakarta.persistence.EntityManager;
import jakarta.persistence.Query;
import jakarta.persistence.TypedQuery;
import java.math.BigDecimal;
import java.nio.charset.StandardCharsets;
import java.util.Base64;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.StringJoiner;
import org.jspecify.annotations.Nullable;

/** Builds the list query of a library from its filters: key-set paging, no offset. */
final class ToolQuery {

  private static final Map<String, String> SORTS =
      Map.of("code", "code", "name", "name", "number", "number", "dc", "dc", "class", "classId");

  /** Which filters to leave out, so that a facet counts what it could be changed to. */
  enum Except {
    NOTHING,
    CLASS,
    DIAMETER
  }

  /**
   * The filters of a list.
   *
   * @param q words and conditions
   * @param classes class ids; empty for all
   */
  record Filter(
      long libraryId,
      @Nullable String q,
      Set<String> classes,
      @Nullable BigDecimal diaMin,
      @Nullable BigDecimal diaMax) {}

  private final StringBuilder where = new StringBuilder(" where e.libraryId = :library");
  private final Map<String, Object> parameters = new LinkedHashMap<>();
  private boolean sizes;

  ToolQuery(Filter filter, Except except) {
    parameters.put("library", filter.libraryId());
    if (except != Except.CLASS && !filter.classes().isEmpty()) {
      classes(List.copyOf(filter.classes()));
    }
    if (except != Except.DIAMETER) {
      range("e.dc", "dia", filter.diaMin(), filter.diaMax());
    }
    search(SearchText.parse(filter.q() == null ? "" : filter.q()));
  }

  /** One parameter a class: a query with a list as a parameter is translated anew at every call. */
  private void classes(List<String> classes) {
    StringJoiner any = new StringJoiner(" or ", "(", ")");
    for (int index = 0; index < classes.size(); index++) {
      any.add("e.classId = :class" + index);
      parameters.put("class" + index, classes.get(index));
    }
    where.append(" and ").append(any);
  }

  private void search(SearchText text) {
    int index = 0;
    for (String word : text.words()) {
      String name = "word" + index++;
      add(
          "(e.code like :%s or e.name like :%s)".formatted(name, name),
          name,
          "%" + word.replaceAll("([%_\\\\])", "\\\\$1") + "%");
    }
    for (SearchText.Condition each : text.conditions()) {
      boolean diameter = each.symbol().equals("DC");
      sizes |= !diameter;
      String size =
          diameter
              ? "e.dc"
              : "cast(function('json_value', v.sizes, '$.%s') as big_decimal)"
                  .formatted(each.symbol());
      range(size, "size" + index++, each.least().orElse(null), each.most().orElse(null));
    }
  }

  private void range(
      String expression, String name, @Nullable BigDecimal least, @Nullable BigDecimal most) {
    if (least != null) {
      add(expression + " >= :" + name + "Least", name + "Least", least);
    }
    if (most != null) {
      add(expression + " <= :" + name + "Most", name + "Most", most);
    }
  }

  private void add(String condition, String parameter, Object value) {
    where.append(" and ").append(condition);
    parameters.put(parameter, value);
  }

  /** The page after a cursor, one row more than the limit. */
  List<ListedTool> page(
      EntityManager entities, String sort, boolean down, @Nullable String after, int limit) {
    String column = SORTS.get(sort);
    if (column == null) {
      throw Refusal.badRequest("sort is one of " + String.join(", ", SORTS.keySet()));
    }
    if (after != null) {
      Cursor cursor = Cursor.read(after, column);
      String beyond = down ? "<" : ">";
      where.append(
          " and e.%s %s= :key and (e.%s %s :key or e.id %s :keyId)"
              .formatted(column, beyond, column, beyond, beyond));
      parameters.put("key", cursor.value());
      parameters.put("keyId", cursor.id());
    }
    String order = down ? " desc" : "";
    TypedQuery<ListedTool> query =
        entities.createQuery(
            "select "
                + ListedTool.COLUMNS
                + " from Entry e"
                + joined()
                + where
                + " order by e."
                + column
                + order
                + ", e.id"
                + order,
            ListedTool.class);
    parameters.forEach(query::setParameter);
    return query.setMaxResults(limit + 1).getResultList();
  }

  private String joined() {
    return sizes ? " join ToolVersion v on v.id = e.versionId" : "";
  }

  /** Groups of the filtered list: group value and count. */
  @SuppressWarnings("unchecked")
  List<Object[]> groups(EntityManager entities, String expression) {
    Query query =
        entities.createQuery(
            "select "
                + expression
                + ", count(*) from Entry e"
                + joined()
                + where
                + " group by "
                + expression
                + " order by "
                + expression,
            Object[].class);
    parameters.forEach(query::setParameter);
    return query.getResultList();
  }

  /** Where a page ended. */
  record Cursor(Object value, long id) {

    static String write(ListedTool last, String sort) {
      Object value =
          switch (SORTS.get(sort)) {
            case "code" -> last.code();
            case "name" -> last.name();
            case "number" -> last.number();
            case "dc" -> last.dc().toPlainString();
            default -> last.classId();
          };
      return Base64.getUrlEncoder()
          .withoutPadding()
          .encodeToString((last.id() + "|" + value).getBytes(StandardCharsets.UTF_8));
    }

    static Cursor read(String text, String column) {
      try {
        String plain = new String(Base64.getUrlDecoder().decode(text), StandardCharsets.UTF_8);
        int bar = plain.indexOf('|');
        long id = Long.parseLong(plain.substring(0, bar));
        String value = plain.substring(bar + 1);
        return new Cursor(
            switch (column) {
              case "number" -> (Object) Integer.valueOf(value);
              case "dc" -> new BigDecimal(value);
              default -> value;
            },
            id);
      } catch (IllegalArgumentException | IndexOutOfBoundsException broken) {
        throw Refusal.badRequest("the cursor in 'after' is not one that this list gave out");
      }
    }
  }
}
