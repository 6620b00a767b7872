package arborline.server.stack;

import arborline.core.inspect.Clashes;
import arborline.core.library.Codes;
import arborline.core.stack.Component;
import arborline.server.account.Actor;
import arborline.server.inspection.ShopParts;
import arborline.server.live.Live;
import arborline.server.support.Json;
import arborline.server.support.Refusal;
import jakarta.persistence.EntityManager;
import java.time.Clock;
import java.time.Instant;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** Parts that come with deliveries, met with those of the shop by code and content. */
@Service
class ArrivingParts implements ShopParts {

  private final Components known;
  private final ComponentRepository components;
  private final ComponentVersionRepository versions;
  private final JdbcClient jdbc;
  private final Json json;
  private final Live live;
  private final Clock clock;
  private final EntityManager entities;

  ArrivingParts(
      Components known,
      ComponentRepository components,
      ComponentVersionRepository versions,
      JdbcClient jdbc,
      Json json,
      Live live,
      Clock clock,
      EntityManager entities) {
    this.entities = entities;
    this.known = known;
    this.components = components;
    this.versions = versions;
    this.jdbc = jdbc;
    this.json = json;
    this.live = live;
    this.clock = clock;
  }

  @Override
  @Transactional(readOnly = true)
  public Map<String, KnownPart> byKeys(Collection<String> codeKeys) {
    Map<String, KnownPart> parts = new HashMap<>();
    if (!codeKeys.isEmpty()) {
      components
          .findByCodeKeyIn(codeKeys)
          .forEach(row ->
              parts.put(
                  row.codeKey, new KnownPart(row.id, json.read(row.definition, Component.class))));
    }
    return parts;
  }

  @Override
  @Transactional(propagation = Propagation.MANDATORY)
  public Optional<TakenPart> take(Component part) {
    Optional<ComponentRow> present = components.findByCodeKey(Codes.key(part.code()));
    if (present.isPresent()) {
      Component known = json.read(present.get().definition, Component.class);
      return Clashes.differences(part, known).isEmpty()
          ? Optional.of(new TakenPart(present.get().id, false))
          : Optional.empty();
    }
    ComponentRow row = components.save(new ComponentRow(part, json.text(part)));
    versions.save(new ComponentVersion(row, Actor.name(), Instant.now(clock)));
    live.say("component", row.id, "");
    return Optional.of(new TakenPart(row.id, true));
  }

  @Override
  @Transactional(propagation = Propagation.MANDATORY)
  public Component locked(long id) {
    return json.read(row(id).definition, Component.class);
  }

  @Override
  @Transactional(propagation = Propagation.MANDATORY)
  public int change(long id, Component after) {
    ComponentRow row = row(id);
    int before = row.versionNo;
    known.define(row, after);
    live.say("component", row.id, "");
    return before;
  }

  @Override
  @Transactional(propagation = Propagation.MANDATORY)
  public void bringBack(long id, int version) {
    ComponentRow row = row(id);
    if (row.versionNo != version + 1) {
      throw Refusal.conflict(
          "%s was changed again since; take the later change back first".formatted(row.code));
    }
    String before = versions.findByComponentIdAndVersionNo(id, version).orElseThrow().definition;
    known.define(row, json.read(before, Component.class));
    live.say("component", row.id, "");
  }

  /** A row as it stands once it is ours, whatever was read of it before. */
  private ComponentRow row(long id) {
    components.lock(id);
    ComponentRow row = components.findById(id).orElseThrow();
    entities.refresh(row);
    return row;
  }

  @Override
  @Transactional(propagation = Propagation.MANDATORY)
  public void takeBack(List<Long> rows) {
    for (Long id : rows) {
      int gone =
          jdbc.sql(
                  """
                  delete from component where id = :id and version_no = 1
                    and not exists(select 1 from stack_part where component_id = :id)\
                  """)
              .param("id", id)
              .update();
      if (gone > 0) {
        jdbc.sql("delete from component_version where component_id = ?").param(id).update();
        live.say("component", id, "");
      }
    }
  }
}
