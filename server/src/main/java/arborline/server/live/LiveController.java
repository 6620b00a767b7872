package arborline.server.live;

import java.io.IOException;
import java.util.List;
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

  private final JdbcClient jdbc;
  private final List<SseEmitter> listeners = new CopyOnWriteArrayList<>();
  private long last = -1;

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
    if (last < 0) {
      last = jdbc.sql("select coalesce(max(id), 0) from live_event").query(Long.class).single();
    }
    List<LiveEvent> events =
        jdbc.sql(
                "select id, topic, subject, detail from live_event where id > ? order by id limit ?")
            .params(last, MOST_AT_ONCE)
            .query(LiveEvent.class)
            .list();
    for (LiveEvent event : events) {
      last = event.id();
      listeners.forEach(listener -> send(listener, event));
    }
  }

  private void send(SseEmitter listener, LiveEvent event) {
    try {
      listener.send(SseEmitter.event().id(Long.toString(event.id())).data(event));
    } catch (IOException | IllegalStateException gone) {
      listeners.remove(listener);
    }
  }
}
