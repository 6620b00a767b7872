package arborline.server.library;

import arborline.core.cutting.CuttingOrigin;
import java.math.BigDecimal;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/** Speed and feed of the tools of a list in one work material. */
@Component
class ListedCuts {

  /**
   * Lines of the material itself before those for all materials, proven ones first, then new ones.
   */
  private static final String CUTS =
      """
      select tool_id, purpose, speed, feed, depth, width, origin, others from (
        select c.*, count(*) over (partition by tool_id) - 1 as others,
          row_number() over (partition by tool_id
            order by material = '', origin <> 'PROVEN', said_at desc, id desc) as place
        from cutting_line c where tool_id in (:ids) and material in (:material, '')) ranked
      where place = 1\
      """;

  private final JdbcClient jdbc;

  ListedCuts(JdbcClient jdbc) {
    this.jdbc = jdbc;
  }

  /**
   * A line of cutting data.
   *
   * @param speed m/min
   * @param feed per tooth in milling, else per revolution, mm
   * @param depth mm; null where none is stated
   * @param width mm; null where none is stated
   * @param origin in small letters, such as {@code proven}
   * @param others how many lines more there are for that material
   */
  public record ListedCut(
      String purpose,
      BigDecimal speed,
      BigDecimal feed,
      @Nullable BigDecimal depth,
      @Nullable BigDecimal width,
      String origin,
      int others) {}

  /**
   * By tool id.
   *
   * @param material id of a work material, or what it is called
   */
  Map<Long, ListedCut> of(List<ListedTool> listed, String material) {
    Map<Long, ListedCut> cuts = new HashMap<>();
    List<Long> ids = listed.stream().map(ListedTool::toolId).distinct().toList();
    if (!ids.isEmpty()) {
      jdbc.sql(CUTS)
          .param("ids", ids)
          .param("material", material)
          .query(row -> {
            cuts.put(row.getLong("tool_id"), cut(row));
          });
    }
    return cuts;
  }

  private static ListedCut cut(ResultSet row) throws SQLException {
    return new ListedCut(
        row.getString("purpose"),
        row.getBigDecimal("speed").stripTrailingZeros(),
        row.getBigDecimal("feed").stripTrailingZeros(),
        stated(row.getBigDecimal("depth")),
        stated(row.getBigDecimal("width")),
        CuttingOrigin.valueOf(row.getString("origin")).name().toLowerCase(Locale.ROOT),
        row.getInt("others"));
  }

  private static @Nullable BigDecimal stated(BigDecimal size) {
    return size.signum() == 0 ? null : size.stripTrailingZeros();
  }
}
