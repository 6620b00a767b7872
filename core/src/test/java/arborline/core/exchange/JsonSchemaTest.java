package arborline.core.exchange;

import static org.junit.jupiter.api.Assertions.assertEquals;

import com.networknt.schema.InputFormat;
import com.networknt.schema.Schema;
import com.networknt.schema.SchemaRegistry;
import com.networknt.schema.SpecificationVersion;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

class JsonSchemaTest {

  @Test
  void writtenFilesFollowThePublishedSchema() throws IOException {
    String schemaText =
        new String(
            JsonFormat.class.getResourceAsStream("arbor-line-tools.schema.json").readAllBytes(),
            StandardCharsets.UTF_8);
    Schema schema =
        SchemaRegistry.withDefaultDialect(SpecificationVersion.DRAFT_2020_12).getSchema(schemaText);
    List<LibraryTool> sound =
        CsvFormatTest.starter().stream().filter(each -> !each.tool().code().contains("/")).toList();
    String file =
        new String(CsvFormatTest.write("json", sound, Optional.empty()), StandardCharsets.UTF_8);
    assertEquals(List.of(), schema.validate(file, InputFormat.JSON));
    assertEquals(
        1,
        schema
            .validate(
                "{\"format\":\"arbor-line-tools\",\"version\":2,\"tools\":[]}", InputFormat.JSON)
            .size());
  }
}
