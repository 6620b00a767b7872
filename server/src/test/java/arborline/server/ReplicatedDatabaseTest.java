package arborline.server;

import static org.junit.jupiter.api.Assertions.assertEquals;

import org.junit.jupiter.api.Test;
import org.springframework.test.context.ContextConfiguration;

/** The schema and what is stored by it, on a database with Galera replication switched on. */
@ContextConfiguration(initializers = OnReplicatedDatabase.class)
class ReplicatedDatabaseTest extends ReadingFaultsTest {

  @Test
  void everyMigrationRanOnAReplicatedDatabase() {
    assertEquals(
        "ON", jdbc.sql("select @@wsrep_on").query(Integer.class).single() == 1 ? "ON" : "OFF");
    assertEquals(
        0L,
        jdbc.sql("select count(*) from flyway_schema_history where success = 0")
            .query(Long.class)
            .single());
  }

  @Test
  void everyTableHasAPrimaryKey() {
    assertEquals(
        java.util.List.of(),
        jdbc.sql(
                """
                select t.table_name from information_schema.tables t
                where t.table_schema = 'arbor' and t.table_type = 'BASE TABLE'
                  and not exists(select 1 from information_schema.table_constraints c
                    where c.table_schema = t.table_schema and c.table_name = t.table_name
                      and c.constraint_type = 'PRIMARY KEY')\
                """)
            .query(String.class)
            .list());
  }
}
