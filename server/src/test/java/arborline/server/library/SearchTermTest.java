package arborline.server.library;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.ArgumentMatchers.contains;
import static org.mockito.ArgumentMatchers.eq;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.never;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.when;

import org.junit.jupiter.api.Test;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.jdbc.core.ResultSetExtractor;

/** What is common beyond doubt is not counted. */
class SearchTermTest {

  private final JdbcTemplate jdbc = mock();
  private final SearchTerm word = SearchTerm.word("mill");

  private void index(long about, long rows) {
    when(jdbc.query(contains("explain"), any(ResultSetExtractor.class), eq("mill%")))
        .thenReturn(about);
    when(jdbc.queryForObject(contains("count"), eq(Long.class), eq("mill%"))).thenReturn(rows);
  }

  @Test
  void whatItsIndexLeadsToManyTimesIsAsManyAsAreAsked() {
    index(1_000_000, 900);
    assertEquals(1000, word.count(jdbc, 1000));
    verify(jdbc, never()).queryForObject(contains("count"), eq(Long.class), eq("mill%"));
  }

  @Test
  void whatMayBeRareIsCounted() {
    index(3_999, 900);
    assertEquals(900, word.count(jdbc, 1000));
  }
}
