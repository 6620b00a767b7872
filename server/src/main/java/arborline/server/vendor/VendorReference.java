package arborline.server.vendor;

import arborline.server.support.Json;
import arborline.server.tool.RowsOfTool;
import arborline.server.tool.ToolReference;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.annotation.Order;
import org.springframework.jdbc.core.simple.JdbcClient;

/** A vendor's newer release finds the tool into which its item was merged. */
@Configuration
class VendorReference {

  @Bean
  @Order(0)
  ToolReference vendorItemsOfTool(JdbcClient jdbc, Json json) {
    return new RowsOfTool(
        jdbc,
        json,
        new RowsOfTool.Rows(
            "vendor", "vendor_item", "target_id", "kind in ('CUTTER', 'INSERT')", "vendor item"));
  }
}
