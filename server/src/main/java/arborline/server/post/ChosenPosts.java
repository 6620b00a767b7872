package arborline.server.post;

import arborline.core.post.DefaultLayers;
import arborline.core.post.DefaultLayers.Effective;
import arborline.server.account.Permission;
import arborline.server.live.Live;
import arborline.server.machine.Machines;
import arborline.server.machine.PostOfMachine;
import arborline.server.support.Refusal;
import arborline.server.trail.Trail;
import arborline.server.trail.TrailRecord;
import arborline.server.trail.Undo;
import arborline.server.trail.UndoKind;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.TreeMap;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** With which post machines work: the one that was chosen, else the only one that serves them. */
@Service
class ChosenPosts implements PostOfMachine, Undo<ChosenPosts.Chosen> {

  private static final UndoKind<Chosen> KIND =
      new UndoKind<>("machine.post", 1, Chosen.class, Permission.EDIT);

  private final PostStore store;
  private final Machines machines;
  private final JdbcClient jdbc;
  private final Trail trail;
  private final Live live;

  ChosenPosts(PostStore store, Machines machines, JdbcClient jdbc, Trail trail, Live live) {
    this.store = store;
    this.machines = machines;
    this.jdbc = jdbc;
    this.trail = trail;
    this.live = live;
  }

  /** Which post was chosen before and then; null for none in particular. */
  record Chosen(String machine, @Nullable Long before, @Nullable Long after) {}

  /** Posts that serve a machine, by name. */
  @Transactional(readOnly = true)
  List<PostRow> offered(String machineId) {
    return store.all().stream().filter(post -> machineId.equals(post.machine())).toList();
  }

  /** The post that a machine works with. */
  @Transactional(readOnly = true)
  Optional<PostRow> chosen(String machineId) {
    List<PostRow> offered = offered(machineId);
    Long kept = kept(machineId);
    return offered.stream()
        .filter(post -> kept != null && post.id() == kept)
        .findFirst()
        .or(() -> offered.stream().filter(post -> offered.size() == 1).findFirst());
  }

  private @Nullable Long kept(String machineId) {
    return jdbc.sql("select post_id from machine_post where machine_id = ?")
        .param(machineId)
        .query(Long.class)
        .optional()
        .orElse(null);
  }

  @Override
  @Transactional(readOnly = true)
  public Optional<Brought> of(String machineId) {
    return chosen(machineId)
        .map(post -> {
          Map<String, String> defaults = new TreeMap<>();
          for (Effective one :
              DefaultLayers.of(
                  store.defaults(post.id()).values(),
                  store.own(post.id(), machineId, 0),
                  Map.of())) {
            defaults.put(one.key(), one.value());
          }
          return new Brought(post.post().name(), post.library(), post.edition(), defaults);
        });
  }

  /**
   * Chooses with which post a machine works.
   *
   * @param post null for none in particular
   * @return the line of the trail that takes it back
   */
  @Transactional
  long choose(String machineId, @Nullable Long post) {
    String name = machines.lock(machineId).machine().name();
    Long before = kept(machineId);
    String text = "chose no post for %s".formatted(name);
    if (post != null) {
      PostRow wanted =
          offered(machineId).stream()
              .filter(one -> one.id() == post)
              .findFirst()
              .orElseThrow(() ->
                  Refusal.conflict(
                      "no post %d serves %s; say on its page which machine it serves"
                          .formatted(post, name)));
      text = "chose post '%s' for %s".formatted(wanted.post().name(), name);
    }
    write(machineId, post);
    return trail.record(
        TrailRecord.of("machine", machineId, text)
            .undoneBy(KIND, new Chosen(machineId, before, post)));
  }

  private void write(String machineId, @Nullable Long post) {
    jdbc.sql("delete from machine_post where machine_id = ?").param(machineId).update();
    if (post != null) {
      jdbc.sql("insert into machine_post (machine_id, post_id) values (?, ?)")
          .params(machineId, post)
          .update();
    }
    live.say("machine", machineId, "post");
  }

  @Override
  public UndoKind<Chosen> kind() {
    return KIND;
  }

  @Override
  public void takeBack(Chosen chosen) {
    machines.lock(chosen.machine());
    if (!Objects.equals(kept(chosen.machine()), chosen.after())) {
      throw Refusal.conflict("another post was chosen since; take that back first");
    }
    write(chosen.machine(), chosen.before());
  }
}
