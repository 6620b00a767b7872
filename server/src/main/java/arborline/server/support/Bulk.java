package arborline.server.support;

import jakarta.persistence.EntityManagerFactory;
import java.sql.Connection;
import java.util.List;
import javax.sql.DataSource;
import org.hibernate.SessionFactory;
import org.hibernate.StatelessSession;
import org.springframework.jdbc.datasource.DataSourceUtils;
import org.springframework.stereotype.Component;

/**
 * Inserts many entities in batches inside the running transaction, without keeping them in memory.
 */
@Component
public class Bulk {

  private final SessionFactory sessions;
  private final DataSource dataSource;

  Bulk(EntityManagerFactory factory, DataSource dataSource) {
    this.sessions = factory.unwrap(SessionFactory.class);
    this.dataSource = dataSource;
  }

  public void insert(List<?> entities) {
    if (entities.isEmpty()) {
      return;
    }
    Connection connection = DataSourceUtils.getConnection(dataSource);
    try (StatelessSession session = sessions.openStatelessSession(connection)) {
      session.setJdbcBatchSize(1000);
      session.insertMultiple(entities);
    } finally {
      DataSourceUtils.releaseConnection(connection, dataSource);
    }
  }
}
