package arborline.core.exchange;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import arborline.core.tool.Sample;
import arborline.core.tool.Tool;
import com.networknt.schema.InputFormat;
import com.networknt.schema.Schema;
import com.networknt.schema.SchemaRegistry;
import com.networknt.schema.SpecificationVersion;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

class JsonSchemaTest {

  @Test
  void writtenFilesFollowThePublishedSchema() throws IOException {
    String schemaText =
        new String(
            JsonFormat.class.getResourceAsStream("arbor-line-tools.schema.json").readAllBytes(),
            StandardCharsets.UTF_8);
    Schema schema =
        SchemaRegistry.withDefaultDialect(SpecificationVersion.DRAFT_2020_12).getSchema(schemaText);
    List<Bundle> sound =
        CsvFormatTest.starter().stream().filter(tool -> !tool.tool().code().contains("/")).toList();
    String file =
        new String(CsvFormatTest.write("json", sound, Optional.empty()), StandardCharsets.UTF_8);
    assertEquals(List.of(), schema.validate(file, InputFormat.JSON));
    assertEquals(
        1,
        schema
            .validate(
                "{\"format\":\"arbor-line-tools\",\"version\":3,\"tools\":[]}", InputFormat.JSON)
            .size());
  }

  /** What follows is told to others, and follows anew when the file comes back. */
  @Test
  void impliedValuesAreWrittenApartAndNotReadBack() throws IOException {
    Tool mill = Sample.tool("CLASS=end-mill-flat CODE=M-1 DC=10 LCF=22 DMM=10 OAL=72 NOF=4");
    byte[] file =
        CsvFormatTest.write(
            "json", List.of(new Bundle(mill, OptionalInt.empty())), Optional.empty());
    JsonNode written = JsonMapper.builder().build().readTree(file).get("tools").get(0);
    assertEquals("22", written.at("/implied/APMX/text").asString());
    assertTrue(written.at("/values/APMX").isMissingNode());
    Tool back = Interpreter.interpret(CsvFormatTest.read(file).getFirst()).tool();
    assertEquals(mill.values().keySet(), back.values().keySet());
  }
}
