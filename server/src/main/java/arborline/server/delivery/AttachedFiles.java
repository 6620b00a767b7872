package arborline.server.delivery;

import arborline.core.exchange.PathList;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.Predicate;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/** Files of deliveries that belong to tools and hold none: pictures, models, documents. */
@Component
public class AttachedFiles {

  private final JdbcClient jdbc;

  AttachedFiles(JdbcClient jdbc) {
    this.jdbc = jdbc;
  }

  /**
   * A file of a delivery.
   *
   * @param path in its ZIP; its name where it came by itself
   */
  public record AttachedFile(int fileNo, String name, String path, long size, String sha256) {}

  /** Those of a delivery. */
  public List<AttachedFile> of(long deliveryId) {
    return jdbc.sql(
            """
            select file_no, name, path, size, sha256 from delivery_document
            where delivery_id = ? and format = ? and sha256 is not null order by file_no\
            """)
        .params(deliveryId, Document.ATTACHMENT)
        .query(AttachedFile.class)
        .list();
  }

  /** Those of a delivery that none of its lines names. */
  public List<AttachedFile> unnamed(long deliveryId) {
    List<AttachedFile> left = new ArrayList<>(of(deliveryId));
    if (!left.isEmpty()) {
      List<AttachedFile> all = List.copyOf(left);
      jdbc.sql(
              """
              select json_value(cells, '$.ATTACHMENT.text') from delivery_line
              where delivery_id = ? and looks_beyond and json_exists(cells, '$.ATTACHMENT.text')\
              """)
          .param(deliveryId)
          .query(String.class)
          .list()
          .forEach(
              text -> PathList.read(text).forEach(path -> find(all, path).ifPresent(left::remove)));
    }
    return left;
  }

  /**
   * The file that a path names: the one that stands there, else the only one in some folder whose
   * path ends so, else the only one of its name.
   */
  public static Optional<AttachedFile> find(List<AttachedFile> files, String path) {
    String wanted = key(path);
    String name = PathList.name(wanted);
    return files.stream()
        .filter(file -> key(file.path()).equals(wanted))
        .findFirst()
        .or(() -> only(files, file -> key(file.path()).endsWith("/" + wanted)))
        .or(() -> only(files, file -> key(file.name()).equals(name)));
  }

  private static Optional<AttachedFile> only(
      List<AttachedFile> files, Predicate<AttachedFile> which) {
    List<AttachedFile> found = files.stream().filter(which).limit(2).toList();
    return found.size() == 1 ? Optional.of(found.getFirst()) : Optional.empty();
  }

  private static String key(String path) {
    return path.toLowerCase(Locale.ROOT).replaceFirst("^(\\./)+", "");
  }
}
