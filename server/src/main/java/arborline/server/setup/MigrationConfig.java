package arborline.server.setup;

import java.util.Arrays;
import java.util.Set;
import org.flywaydb.core.api.MigrationInfo;
import org.springframework.boot.flyway.autoconfigure.FlywayMigrationStrategy;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/**
 * Migrates the schema. The first three migrations were changed once, so that they also run on a
 * replicated database; a database that had them before takes their new fingerprints. Why:
 * docs/decisions/sequences-without-cache.md.
 */
@Configuration
class MigrationConfig {

  private static final Set<String> CHANGED = Set.of("1", "2", "3");

  @Bean
  FlywayMigrationStrategy migration() {
    return flyway -> {
      if (Arrays.stream(flyway.info().applied()).anyMatch(MigrationConfig::changed)) {
        flyway.repair();
      }
      flyway.migrate();
    };
  }

  private static boolean changed(MigrationInfo applied) {
    return applied.getVersion() != null
        && CHANGED.contains(applied.getVersion().getVersion())
        && !applied.isChecksumMatching();
  }
}
