package arborline.server.attachment;

import arborline.server.support.Json;
import arborline.server.tool.RowsOfTool;
import arborline.server.tool.ToolReference;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.annotation.Order;
import org.springframework.jdbc.core.simple.JdbcClient;

/** Files go with their tool, but for those whose name the other one has. */
@Configuration
class AttachmentReference {

  private static final String FREE =
      """
      owner = 'TOOL' and removed = 0 and name_key not in (
        select theirs.name_key from attachment theirs
        where theirs.owner = 'TOOL' and theirs.owner_id = :into and theirs.removed = 0)\
      """;

  @Bean
  @Order(0)
  ToolReference filesOfTool(JdbcClient jdbc, Json json) {
    return new RowsOfTool(
        jdbc, json, new RowsOfTool.Rows("attachment", "attachment", "owner_id", FREE, "file"));
  }
}
