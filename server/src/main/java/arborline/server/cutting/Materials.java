package arborline.server.cutting;

import arborline.core.cutting.OwnMaterial;
import arborline.core.cutting.WorkMaterial;
import arborline.core.cutting.WorkMaterials;
import arborline.server.account.Actor;
import arborline.server.support.Json;
import arborline.server.support.Refusal;
import arborline.server.trail.Trail;
import arborline.server.trail.TrailRecord;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Stream;
import org.springframework.dao.DuplicateKeyException;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Work materials: those that the product knows, and those that the shop added. */
@Service
public class Materials {

  private static final int MOST = 500;

  private final JdbcClient jdbc;
  private final Json json;
  private final Trail trail;

  Materials(JdbcClient jdbc, Json json, Trail trail) {
    this.jdbc = jdbc;
    this.json = json;
    this.trail = trail;
  }

  /** The shop's own first. */
  @Transactional(readOnly = true)
  List<WorkMaterial> all() {
    return Stream.concat(
            jdbc
                .sql("select definition from work_material order by name_key limit " + MOST)
                .query(String.class)
                .list()
                .stream()
                .map(text -> json.read(text, WorkMaterial.class)),
            WorkMaterials.all().stream())
        .toList();
  }

  /** The material of an id; refused where there is none. */
  public WorkMaterial named(String id) {
    return WorkMaterials.named(id)
        .or(() -> own(id))
        .orElseThrow(() -> Refusal.badRequest("there is no work material '%s'".formatted(id)));
  }

  private Optional<WorkMaterial> own(String id) {
    return jdbc.sql("select definition from work_material where id = ?")
        .param(id)
        .query(String.class)
        .optional()
        .map(text -> json.read(text, WorkMaterial.class));
  }

  @Transactional
  WorkMaterial add(OwnMaterial wanted) {
    wanted
        .obstacle()
        .ifPresent(finding -> {
          throw Refusal.badRequest(finding.message());
        });
    WorkMaterial material = wanted.material("own-" + UUID.randomUUID().toString().substring(0, 8));
    try {
      jdbc.sql("insert into work_material (id, name_key, definition, added_by) values (?, ?, ?, ?)")
          .params(
              material.id(),
              material.name().toLowerCase(Locale.ROOT),
              json.text(material),
              Actor.name())
          .update();
    } catch (DuplicateKeyException twice) {
      throw Refusal.conflict("there is a material '%s' already".formatted(material.name()));
    }
    trail.record(
        TrailRecord.of("material", material.id(), "added work material " + material.name()));
    return material;
  }

  /** Takes one of the shop's own out; refused while cutting data need it. */
  @Transactional
  void remove(String id) {
    WorkMaterial material =
        own(id).orElseThrow(() -> Refusal.notFound("the shop has no material '%s'".formatted(id)));
    long lines =
        jdbc.sql("select count(*) from cutting_line where material = ?")
            .param(id)
            .query(Long.class)
            .single();
    if (lines > 0) {
      throw Refusal.conflict(
          "%s is needed by %s of cutting data; take that out first"
              .formatted(material.name(), TrailRecord.count(lines, "line")));
    }
    jdbc.sql("delete from work_material where id = ?").param(id).update();
    trail.record(TrailRecord.of("material", id, "took out work material " + material.name()));
  }
}
