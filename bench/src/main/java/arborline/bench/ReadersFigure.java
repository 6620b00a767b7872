package arborline.bench;

import java.io.IOException;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Random;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.atomic.AtomicBoolean;

/**
 * 50 people read, each a page about once a second, while 100 000 lines are imported and taken into
 * a library. Most of what they wait for is the machine that both share.
 */
final class ReadersFigure {

  private static final int PEOPLE = 50;
  private static final int LINES = 100_000;
  private static final int SHORTEST_PAUSE = 500;
  private static final int LONGEST_PAUSE = 1_500;
  private static final double WANTED = 0.95;
  private static final double GOAL = 300;
  private static final List<String> PAGES =
      List.of(
          "/libraries/5/tools?limit=100",
          "/libraries/5/facets",
          "/libraries/overview",
          "/tools?q=mill&limit=100",
          "/libraries/4/tools?sort=dc&limit=100",
          "/machines/M1",
          "/trail?limit=50");

  private final Http http;

  ReadersFigure(Http http) {
    this.http = http;
  }

  void print() throws Exception {
    String table = ImportFigure.table("RDR", LINES);
    long library = http.post("/libraries", "{\"name\":\"Read meanwhile\"}").get("id").asLong();
    AtomicBoolean over = new AtomicBoolean();
    List<Future<List<Double>>> people = new ArrayList<>();
    try (ExecutorService readers = Executors.newFixedThreadPool(PEOPLE)) {
      for (int i = 0; i < PEOPLE; i++) {
        int person = i;
        people.add(readers.submit(() -> read(new Random(person), over)));
      }
      long delivery = http.deliver(table);
      http.post(
          "/deliveries/%d/accept".formatted(delivery),
          "{\"library\":%d,\"numbering\":\"keep\"}".formatted(library));
      over.set(true);
      List<Double> all = new ArrayList<>();
      for (Future<List<Double>> one : people) {
        all.addAll(one.get());
      }
      Collections.sort(all);
      Bench.goal(
          "p95 of %d pages read by %d people during an import".formatted(all.size(), PEOPLE),
          all.get((int) (all.size() * WANTED)),
          GOAL,
          "ms");
    }
  }

  private List<Double> read(Random random, AtomicBoolean over)
      throws IOException, InterruptedException {
    List<Double> times = new ArrayList<>();
    while (!over.get()) {
      Thread.sleep(random.nextInt(SHORTEST_PAUSE, LONGEST_PAUSE));
      long begin = System.nanoTime();
      http.bytes(PAGES.get(random.nextInt(PAGES.size())));
      times.add((System.nanoTime() - begin) / 1e6);
    }
    return times;
  }
}
