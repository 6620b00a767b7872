package arborline.server.support;

import java.util.concurrent.ConcurrentHashMap;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/**
 * Hands out identities before rows are written, in blocks of a thousand from a database sequence,
 * so that rows pointing to each other can be inserted in batches. A block that a crash leaves
 * unused is lost, nothing else.
 */
@Component
public class Ids {

  private static final int BLOCK = 1000;

  private final JdbcClient jdbc;
  private final ConcurrentHashMap<String, Block> blocks = new ConcurrentHashMap<>();

  Ids(@Background JdbcClient jdbc) {
    this.jdbc = jdbc;
  }

  private record Block(long next, long end) {}

  /**
   * The next identity.
   *
   * @param table name of a table whose sequence is {@code <table>_seq} with increment 1000
   */
  public long next(String table) {
    Block after = blocks.compute(table, this::advance);
    return after.next() - 1;
  }

  private Block advance(String table, Block block) {
    if (block != null && block.next() < block.end()) {
      return new Block(block.next() + 1, block.end());
    }
    long start = jdbc.sql("select next value for " + table + "_seq").query(Long.class).single();
    return new Block(start + 1, start + BLOCK);
  }
}
