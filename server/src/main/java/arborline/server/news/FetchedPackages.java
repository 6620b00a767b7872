package arborline.server.news;

import arborline.server.delivery.ArrivingFiles;
import arborline.server.delivery.Deliveries;
import arborline.server.news.VendorDispatch.Announced;
import arborline.server.support.Refusal;
import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import org.springframework.dao.DuplicateKeyException;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;

/**
 * Fetches packages of the vendor dispatch as deliveries; however many ask for one, it comes once.
 */
@Service
public class FetchedPackages {

  private final VendorDispatch dispatch;
  private final Deliveries deliveries;
  private final JdbcClient jdbc;

  FetchedPackages(VendorDispatch dispatch, Deliveries deliveries, JdbcClient jdbc) {
    this.dispatch = dispatch;
    this.deliveries = deliveries;
    this.jdbc = jdbc;
  }

  private record Fetched(String packageId, long deliveryId) {}

  /** The deliveries as which packages came and that were not deleted, by package. */
  Map<String, Long> deliveries() {
    Map<String, Long> known = new HashMap<>();
    jdbc.sql(
            """
            select f.package_id, f.delivery_id from fetched_package f
            join delivery d on d.id = f.delivery_id where d.put_away_at is null\
            """)
        .query(Fetched.class)
        .list()
        .forEach(one -> known.put(one.packageId(), one.deliveryId()));
    return known;
  }

  /**
   * Fetches a package; one that came before and is still there, unchanged, is not fetched again.
   *
   * @return the delivery as which it came
   * @throws IOException where the dispatch does not send it; the message says why
   */
  public long fetch(String packageId) throws IOException {
    Announced wanted =
        dispatch.packages().stream()
            .filter(one -> packageId.equals(one.id()))
            .findFirst()
            .orElseThrow(() -> Refusal.notFound("the dispatch has no package " + packageId));
    Optional<Long> here = here(wanted);
    if (here.isPresent()) {
      return here.get();
    }
    Path file = Files.createTempFile("package", ".zip");
    try (ArrivingFiles arriving = new ArrivingFiles()) {
      dispatch.fetch(wanted, file);
      try (InputStream content = Files.newInputStream(file)) {
        arriving.add(packageId + ".zip", content);
      }
      return deliveries.bring(arriving, null, null, id -> claim(wanted, id));
    } catch (DuplicateKeyException another) {
      return here(wanted).orElseThrow(() -> another);
    } finally {
      Files.deleteIfExists(file);
    }
  }

  private Optional<Long> here(Announced wanted) {
    return jdbc.sql(
            """
            select f.delivery_id from fetched_package f join delivery d on d.id = f.delivery_id
            where f.package_id = ? and f.sha256 = ? and d.put_away_at is null\
            """)
        .params(wanted.id(), wanted.sha256())
        .query(Long.class)
        .optional();
  }

  /**
   * Inside the transaction that stores the delivery: a second one for a package is refused. What
   * was fetched before and is gone is looked for without locks on deliveries, which are being read.
   */
  private void claim(Announced wanted, long deliveryId) {
    jdbc.sql(
            """
            select f.delivery_id from fetched_package f left join delivery d on d.id = f.delivery_id
            where f.package_id = ? and (f.sha256 <> ? or d.id is null or d.put_away_at is not null)\
            """)
        .params(wanted.id(), wanted.sha256())
        .query(Long.class)
        .optional()
        .ifPresent(gone ->
            jdbc.sql("delete from fetched_package where package_id = ? and delivery_id = ?")
                .params(wanted.id(), gone)
                .update());
    jdbc.sql("insert into fetched_package (package_id, sha256, delivery_id) values (?, ?, ?)")
        .params(wanted.id(), wanted.sha256(), deliveryId)
        .update();
  }
}
