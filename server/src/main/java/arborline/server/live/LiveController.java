package arborline.server.live;

import java.io.IOException;
import java.util.List;
import java.util.NavigableSet;
import java.util.TreeSet;
import java.util.concurrent.CopyOnWriteArrayList;
import org.springframework.http.MediaType;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;

/** Server-sent events of everything that {@link Live} was told. */
@RestController
@RequestMapping("/api/v1/events")
class LiveController {

  private static final int MOST_AT_ONCE = 200;

  /**
   * A transaction that takes long shows its events after those of a later one that was quicker, so
   * the last ones are asked for again.
   */
  private static final int REMEMBERED = 300;

  private final JdbcClient jdbc;
  private final List<SseEmitter> listeners = new CopyOnWriteArrayList<>();
  private final NavigableSet<Long> passed = new TreeSet<>();

  LiveController(JdbcClient jdbc) {
    this.jdbc = jdbc;
  }

  record LiveEvent(long id, String topic, String subject, String detail) {}

  @GetMapping(produces = MediaType.TEXT_EVENT_STREAM_VALUE)
  SseEmitter listen() throws IOException {
    SseEmitter listener = new SseEmitter(0L);
    listener.onCompletion(() -> listeners.remove(listener));
    listener.onTimeout(() -> listeners.remove(listener));
    listener.onError(failure -> listeners.remove(listener));
    listener.send(SseEmitter.event().comment("listening"));
    listeners.add(listener);
    return listener;
  }

  @Scheduled(fixedDelay = 400)
  void pass() {
    if (passed.isEmpty()) {
      passed.addAll(latest());
    }
    for (LiveEvent event : since(passed.first())) {
      if (passed.add(event.id())) {
        listeners.forEach(listener -> send(listener, event));
      }
    }
    while (passed.size() > REMEMBERED) {
      passed.removeFirst();
    }
  }

  private List<Long> latest() {
    List<Long> ids =
        jdbc.sql("select id from live_event order by id desc limit ?")
            .param(REMEMBERED)
            .query(Long.class)
            .list();
    return ids.isEmpty() ? List.of(0L) : ids;
  }

  private List<LiveEvent> since(long id) {
    return jdbc.sql(
            "select id, topic, subject, detail from live_event where id > ? order by id limit ?")
        .params(id, REMEMBERED + MOST_AT_ONCE)
        .query(LiveEvent.class)
        .list();
  }

  private void send(SseEmitter listener, LiveEvent event) {
    try {
      listener.send(SseEmitter.event().id(Long.toString(event.id())).data(event));
    } catch (IOException | IllegalStateException gone) {
      listeners.remove(listener);
    }
  }
}
