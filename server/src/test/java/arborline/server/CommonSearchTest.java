package arborline.server;

import static org.junit.jupiter.api.Assertions.assertEquals;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.function.IntPredicate;
import java.util.stream.IntStream;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;

/**
 * Searches for what thousands of tools have: the pages are the same as if every tool was looked at.
 * Every second of 24 000 tools has a diameter of 12.345, the others 5.432; the reach grows from 10
 * to 406 and begins anew; those from 13 000 on have one word more, those from 20 000 on are 700 to
 * 704 long.
 */
class CommonSearchTest extends ServerTest {

  private static final long FIRST = 880_000_000L;
  private static final int TOOLS = 24_000;
  private static final int LATER = 13_000;
  private static final int LAST = 20_000;
  private static final int PAGE = 100;

  private long library;

  private void manyTools() {
    library = library("Much alike");
    jdbc.sql(
            """
            insert into tool_version (id, tool_id, version_no, name, class_id, hash, vals, sizes,
              origin, created_at, created_by)
            select :first + seq, :first + seq, 1, concat('Flat end mill ', seq), 'end-mill-flat',
              sha2(seq, 256), concat('{"LU":{"text":"', 10 + seq % 397, '","unit":"mm"}}'),
              concat('{"LU":', 10 + seq % 397, if(seq >= 20000, concat(',"OAL":', 700 + seq % 5), ''), '}'),
              'test', now(6), 'test'
            from seq_1_to_24000\
            """)
        .param("first", FIRST)
        .update();
    jdbc.sql(
            """
            insert into entry (id, library_id, tool_id, version_id, number, section, code, name,
              class_id, dc, words, worded)
            select :first + seq, :library, :first + seq, :first + seq, seq, '',
              concat('CS-', lpad(seq, 6, '0')), concat('Flat end mill ', seq), 'end-mill-flat',
              if(seq % 2 = 0, 12.345, 5.432), if(seq >= 13000, ' vielerlei mancherlei', ' vielerlei'), true
            from seq_1_to_24000\
            """)
        .param("first", FIRST)
        .param("library", library)
        .update();
    word("vielerlei", 1);
    word("mancherlei", LATER);
    jdbc.sql(
            """
            insert into version_size (symbol, size, version_id, tool_id)
            select 'LU', 10 + (id - :first) % 397, id, id from tool_version where id > :first\
            """)
        .param("first", FIRST)
        .update();
    jdbc.sql(
            """
            insert into version_size (symbol, size, version_id, tool_id)
            select 'OAL', 700 + (id - :first) % 5, id, id from tool_version
            where id >= :first + 20000\
            """)
        .param("first", FIRST)
        .update();
    jdbc.sql("analyze table entry, tool_version, version_size, entry_word").query().listOfRows();
  }

  private void word(String word, int from) {
    jdbc.sql(
            "insert into entry_word (word, entry_id) select :word, id from entry where id >= :from")
        .param("word", word)
        .param("from", FIRST + from)
        .update();
  }

  @AfterEach
  void noneOfThemIsLeft() {
    for (String rows :
        List.of(
            "entry_word where entry_id",
            "version_size where version_id",
            "entry where id",
            "tool_version where id")) {
      jdbc.sql("delete from " + rows + " between :first and :last")
          .param("first", FIRST)
          .param("last", FIRST + TOOLS)
          .update();
    }
  }

  /** The codes of tools that are meant, in their order. */
  private static List<String> codes(IntPredicate meant) {
    return IntStream.rangeClosed(1, TOOLS).filter(meant).mapToObj("CS-%06d"::formatted).toList();
  }

  /** Asks for some pages of a list, one behind the other. */
  private List<String> pages(String list, String query, int pages) {
    List<String> codes = new ArrayList<>();
    String after = "";
    for (int page = 0; page < pages; page++) {
      Api.Answer answer = lead.get("/api/v1%s?limit=%d&q=%s%s".formatted(list, PAGE, query, after));
      assertEquals(200, answer.status(), answer.body().toString());
      answer.at("items").forEach(row -> codes.add(row.get("code").asString()));
      after = "&after=" + answer.text("next");
    }
    return codes;
  }

  private void firstPagesAre(List<String> meant, String query) {
    List<String> backwards = new ArrayList<>(meant);
    Collections.reverse(backwards);
    for (String list : List.of("/tools", "/libraries/%d/tools".formatted(library))) {
      assertEquals(meant.subList(0, 3 * PAGE), pages(list, query, 3), list);
      assertEquals(backwards.subList(0, 2 * PAGE), pages(list, query + "&down=true", 2), list);
    }
  }

  @Test
  void theFirstOfManyAreFoundInTheirOrder() {
    manyTools();

    firstPagesAre(codes(no -> no % 2 == 0), "vielerlei dia 12.345");
    firstPagesAre(codes(no -> no % 2 == 0), "dia 12.345");
    firstPagesAre(codes(no -> 10 + no % 397 <= 300), "vielerlei reach 10..300");
    firstPagesAre(
        codes(no -> no % 2 == 0 && 10 + no % 397 >= 100), "dia 12.345 reach 100..500 vielerlei");
    firstPagesAre(codes(no -> 10 + no % 397 <= 30), "vielerlei reach 10..30");
    firstPagesAre(
        codes(no -> no >= LATER && 10 + no % 397 <= 130), "mancherlei reach 10..130 vielerlei");
    firstPagesAre(codes(no -> no % 2 == 0 && 10 + no % 397 <= 60), "dia 12.345 reach 10..60");
    // What only the last have stands behind thousands of others.
    firstPagesAre(codes(no -> no >= LATER), "mancherlei vielerlei");
    firstPagesAre(codes(no -> no >= LATER && no % 2 == 0), "mancherlei dia 12.345");
    firstPagesAre(codes(no -> no >= LAST), "vielerlei length 700..704");
    firstPagesAre(
        codes(no -> no >= LAST && no % 2 == 0 && no % 5 > 0),
        "dia 12.345 length 701..704 vielerlei");
    firstPagesAre(
        codes(no -> no >= LAST && 10 + no % 397 <= 200), "length 700..704 reach 10..200 vielerlei");
  }
}
