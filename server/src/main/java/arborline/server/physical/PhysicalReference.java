package arborline.server.physical;

import arborline.server.support.Json;
import arborline.server.tool.RowsOfTool;
import arborline.server.tool.ToolReference;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.annotation.Order;
import org.springframework.jdbc.core.simple.JdbcClient;

/** Physical tools go with their tool where it is merged into another. */
@Configuration
class PhysicalReference {

  @Bean
  @Order(1)
  ToolReference physicalRows(JdbcClient jdbc, Json json) {
    return new RowsOfTool(
        jdbc,
        json,
        new RowsOfTool.Rows("physical", "physical_tool", "tool_id", "true", "physical tool"));
  }
}
