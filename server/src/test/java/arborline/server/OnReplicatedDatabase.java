package arborline.server;

import arborline.rig.PrivateDatabase;
import java.nio.file.Path;
import java.util.Map;
import org.springframework.context.ApplicationContextInitializer;
import org.springframework.context.ConfigurableApplicationContext;
import org.springframework.core.env.MapPropertySource;

/** Points the server under test to one database node with Galera replication switched on. */
final class OnReplicatedDatabase
    implements ApplicationContextInitializer<ConfigurableApplicationContext> {

  private static final PrivateDatabase DATABASE = start();

  private static PrivateDatabase start() {
    PrivateDatabase database = PrivateDatabase.startReplicated(Path.of("target/rig"));
    Runtime.getRuntime().addShutdownHook(new Thread(database::close));
    return database;
  }

  @Override
  public void initialize(ConfigurableApplicationContext context) {
    context
        .getEnvironment()
        .getPropertySources()
        .addFirst(
            new MapPropertySource(
                "replicated database",
                Map.of(
                    "spring.datasource.url", DATABASE.url(),
                    "spring.datasource.username", DATABASE.user(),
                    "spring.datasource.password", DATABASE.password())));
  }
}
