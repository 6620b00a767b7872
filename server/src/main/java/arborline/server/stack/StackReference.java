package arborline.server.stack;

import arborline.server.support.Json;
import arborline.server.tool.RowsOfTool;
import arborline.server.tool.ToolReference;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.annotation.Order;
import org.springframework.jdbc.core.simple.JdbcClient;

/** Stacks go with the tool that they hold. */
@Configuration
class StackReference {

  @Bean
  @Order(0)
  ToolReference stacksOfTool(JdbcClient jdbc, Json json) {
    return new RowsOfTool(
        jdbc, json, new RowsOfTool.Rows("stack", "stack", "tool_id", "true", "stack"));
  }
}
