package arborline.server.setup;

import arborline.core.post.Post;
import arborline.server.post.Posts;
import arborline.server.post.Posts.PostDraft;
import arborline.server.support.Json;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Map;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/** Posts of the demo, each for its machine, with its library and its defaults. */
@Component
class DemoPosts {

  private final Posts posts;
  private final JdbcClient jdbc;
  private final Json json;

  DemoPosts(Posts posts, JdbcClient jdbc, Json json) {
    this.posts = posts;
    this.jdbc = jdbc;
    this.json = json;
  }

  /** A post of the demo file. */
  record DemoPost(String machine, String library, Post post, Map<String, String> defaults) {}

  /** Makes what the file says; without one there is no post. */
  void make(Path file) throws IOException {
    if (!Files.exists(file)) {
      return;
    }
    for (DemoPost one : json.read(Files.readString(file), DemoPost[].class)) {
      long library =
          jdbc.sql("select id from library where name = ?")
              .param(one.library())
              .query(Long.class)
              .single();
      posts.bring(new PostDraft(one.post(), one.machine(), library, null), one.defaults());
    }
  }
}
