package arborline.server.library;

import arborline.core.library.SearchText;
import arborline.server.support.Json;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.jdbc.core.namedparam.NamedParameterJdbcTemplate;
import org.springframework.stereotype.Component;
import tools.jackson.core.type.TypeReference;

/** The table that leads from sizes to the versions of tools that entries hold. */
@Component
class VersionSizes {

  private static final TypeReference<Map<String, BigDecimal>> SIZES = new TypeReference<>() {};

  private static final int SWEPT = 1000;

  private final JdbcTemplate jdbc;
  private final NamedParameterJdbcTemplate named;
  private final Json json;

  VersionSizes(JdbcTemplate jdbc, Json json) {
    this.jdbc = jdbc;
    this.named = new NamedParameterJdbcTemplate(jdbc);
    this.json = json;
  }

  /** Leads to versions by all that a condition of a search can name. */
  void index(Collection<Long> versionIds) {
    List<Object[]> rows = new ArrayList<>();
    named.query(
        "select id, tool_id, sizes from tool_version where id in (:ids) order by id",
        Map.of("ids", versionIds),
        row -> {
          Map<String, BigDecimal> sizes = new HashMap<>(json.read(row.getString("sizes"), SIZES));
          for (String symbol : SearchText.symbols()) {
            BigDecimal size = sizes.get(symbol);
            if (size != null) {
              rows.add(new Object[] {symbol, size, row.getLong("id"), row.getLong("tool_id")});
            }
          }
        });
    rows.sort((one, other) -> one[0].toString().compareTo(other[0].toString()));
    jdbc.batchUpdate(
        "insert ignore into version_size (symbol, size, version_id, tool_id) values (?, ?, ?, ?)",
        rows);
  }

  /** Forgets versions that no entry holds. */
  void sweep() {
    SearchText.symbols()
        .forEach(symbol -> {
          int gone;
          do {
            gone = sweep(symbol);
          } while (gone > 0);
        });
  }

  /** The first of them; one that an entry came to hold meanwhile stays. */
  private int sweep(String symbol) {
    List<Object[]> vain =
        jdbc.query(
            """
            select s.size, s.version_id, s.tool_id from version_size s
            left join entry e on e.tool_id = s.tool_id and e.version_id = s.version_id
            where s.symbol = ? and e.id is null limit %d\
            """
                .formatted(SWEPT),
            (row, index) -> {
              long version = row.getLong(2);
              return new Object[] {symbol, row.getBigDecimal(1), version, row.getLong(3), version};
            },
            symbol);
    int[] gone =
        jdbc.batchUpdate(
            """
            delete from version_size where symbol = ? and size = ? and version_id = ?
              and not exists (select 1 from entry e where e.tool_id = ? and e.version_id = ?)\
            """,
            vain);
    return IntStream.of(gone).map(count -> Math.max(count, 0)).sum();
  }
}
