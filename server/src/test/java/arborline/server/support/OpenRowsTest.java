package arborline.server.support;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;

import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import jakarta.persistence.Query;
import org.junit.jupiter.api.Test;
import org.springframework.jdbc.core.simple.JdbcClient;

/** Rows that are streamed keep their connection until somebody closes them, and nobody does. */
class OpenRowsTest {

  @Test
  void answersOfTheDatabaseAreReadToTheirEnd() {
    noClasses()
        .should()
        .callMethod(JdbcClient.MappedQuerySpec.class, "stream")
        .orShould()
        .callMethod(Query.class, "getResultStream")
        .check(
            new ClassFileImporter()
                .withImportOption(ImportOption.Predefined.DO_NOT_INCLUDE_TESTS)
                .importPackages("arborline.server"));
  }
}
