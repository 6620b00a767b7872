package arborline.server.setup;

import arborline.server.stack.UsualStacks;
import arborline.server.support.Json;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/** Keeps the stacks of the demo. */
@Component
class DemoStacks {

  private final UsualStacks stacks;
  private final JdbcClient jdbc;
  private final Json json;

  DemoStacks(UsualStacks stacks, JdbcClient jdbc, Json json) {
    this.stacks = stacks;
    this.jdbc = jdbc;
    this.json = json;
  }

  /**
   * Tools of a library in their holders.
   *
   * @param seat connection code of the spindle or turret
   * @param tools beginnings of their codes
   * @param parts codes, machine side first; null for the first holder that takes each
   */
  record DemoHeld(String library, String seat, List<String> tools, @Nullable List<String> parts) {}

  /** Keeps what the file says; without one nothing is kept. */
  void make(Path file) throws IOException {
    if (!Files.exists(file)) {
      return;
    }
    for (DemoHeld held : json.read(Files.readString(file), DemoHeld[].class)) {
      for (String beginning : held.tools()) {
        stacks.keep(
            tools(held.library(), beginning),
            held.seat(),
            Optional.ofNullable(held.parts()).orElse(List.of()));
      }
    }
  }

  private List<Long> tools(String library, String beginning) {
    return jdbc.sql(
            """
            select e.tool_id from entry e join library l on l.id = e.library_id
            where l.name = ? and e.code like concat(?, '%') order by e.code\
            """)
        .params(library, beginning)
        .query(Long.class)
        .list();
  }
}
