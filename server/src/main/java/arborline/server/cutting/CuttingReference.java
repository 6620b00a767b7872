package arborline.server.cutting;

import arborline.server.support.Json;
import arborline.server.tool.RowsOfTool;
import arborline.server.tool.ToolReference;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.annotation.Order;
import org.springframework.jdbc.core.simple.JdbcClient;

/** Cutting data goes with its tool; what was proven with either survives. */
@Configuration
class CuttingReference {

  @Bean
  @Order(0)
  ToolReference cuttingDataOfTool(JdbcClient jdbc, Json json) {
    return new RowsOfTool(
        jdbc,
        json,
        new RowsOfTool.Rows("cutting", "cutting_line", "tool_id", "true", "line of cutting data"));
  }
}
