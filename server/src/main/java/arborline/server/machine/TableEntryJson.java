package arborline.server.machine;

import arborline.core.table.TableEntry;
import arborline.core.table.TableField;
import com.fasterxml.jackson.annotation.JsonCreator;
import com.fasterxml.jackson.annotation.JsonProperty;
import java.util.Map;
import org.springframework.boot.jackson.JacksonMixin;

/** A row of a tool table is kept as its fields alone. */
@JacksonMixin(TableEntry.class)
abstract class TableEntryJson {

  @JsonCreator
  TableEntryJson(@JsonProperty("fields") Map<TableField, String> fields) {}

  @JsonProperty("fields")
  abstract Map<TableField, String> fields();
}
