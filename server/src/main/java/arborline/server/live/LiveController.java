package arborline.server.live;

import arborline.server.support.Background;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpSession;
import java.io.IOException;
import java.time.Duration;
import java.util.HashSet;
import java.util.List;
import java.util.NavigableSet;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.stream.Collectors;
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

  /** Then a page asks again; a script's key is looked at anew with that. */
  private static final Duration LONGEST = Duration.ofMinutes(30);

  /** After this a browser asks again; a page speaks of a break that lasts longer. */
  private static final Duration AGAIN = Duration.ofSeconds(1);

  /**
   * A transaction that takes long shows its events after those of a later one that was quicker, so
   * the last ones are asked for again.
   */
  private static final int REMEMBERED = 300;

  private final JdbcClient jdbc;
  private final List<Listener> listeners = new CopyOnWriteArrayList<>();
  private final NavigableSet<Long> passed = new TreeSet<>();

  LiveController(@Background JdbcClient jdbc) {
    this.jdbc = jdbc;
  }

  /**
   * An open page or script.
   *
   * @param session id of the session it belongs to; empty for a script with a key
   */
  private record Listener(SseEmitter emitter, Optional<String> session) {}

  record LiveEvent(long id, String topic, String subject, String detail) {}

  @GetMapping(produces = MediaType.TEXT_EVENT_STREAM_VALUE)
  SseEmitter listen(HttpServletRequest request) throws IOException {
    SseEmitter emitter = new SseEmitter(LONGEST.toMillis());
    Listener listener =
        new Listener(
            emitter, Optional.ofNullable(request.getSession(false)).map(HttpSession::getId));
    emitter.onCompletion(() -> listeners.remove(listener));
    emitter.onTimeout(() -> listeners.remove(listener));
    emitter.onError(failure -> listeners.remove(listener));
    emitter.send(SseEmitter.event().reconnectTime(AGAIN.toMillis()).comment("listening"));
    listeners.add(listener);
    return emitter;
  }

  /** Ends the streams of sessions that somebody signed out of, or that ran out. */
  @Scheduled(fixedDelay = 3_000)
  void endWithSessions() {
    Set<String> asked =
        listeners.stream()
            .flatMap(listener -> listener.session().stream())
            .collect(Collectors.toSet());
    if (asked.isEmpty()) {
      return;
    }
    Set<String> there =
        new HashSet<>(
            jdbc.sql(
                    "select session_id from SPRING_SESSION"
                        + " where session_id in (:ids) and expiry_time > :now")
                .param("ids", asked)
                .param("now", System.currentTimeMillis())
                .query(String.class)
                .list());
    listeners.stream()
        .filter(listener -> listener.session().filter(id -> !there.contains(id)).isPresent())
        .forEach(listener -> listener.emitter().complete());
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

  private void send(Listener listener, LiveEvent event) {
    try {
      listener.emitter().send(SseEmitter.event().id(Long.toString(event.id())).data(event));
    } catch (IOException | IllegalStateException gone) {
      listeners.remove(listener);
    }
  }
}
