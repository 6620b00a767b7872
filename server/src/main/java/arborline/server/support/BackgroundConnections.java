package arborline.server.support;

import com.zaxxer.hikari.HikariDataSource;
import java.time.Duration;
import javax.sql.DataSource;
import org.springframework.boot.jdbc.autoconfigure.DataSourceProperties;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.jdbc.core.simple.JdbcClient;

/**
 * A few connections beside those of requests: for background work, and for what must be said or
 * asked while a request holds a connection of its own. Whoever uses them waits for no row that a
 * request holds, so they come free however many requests wait for each other.
 */
@Configuration
class BackgroundConnections {

  private static final int MOST = 5;
  private static final Duration PATIENCE = Duration.ofSeconds(10);

  @Bean(defaultCandidate = false)
  @Background
  HikariDataSource backgroundDataSource(DataSourceProperties properties) {
    HikariDataSource connections =
        properties.initializeDataSourceBuilder().type(HikariDataSource.class).build();
    connections.setPoolName("background");
    connections.setMaximumPoolSize(MOST);
    connections.setConnectionTimeout(PATIENCE.toMillis());
    connections.setTransactionIsolation("TRANSACTION_READ_COMMITTED");
    return connections;
  }

  @Bean(defaultCandidate = false)
  @Background
  JdbcClient backgroundJdbc(@Background DataSource connections) {
    return JdbcClient.create(connections);
  }
}
