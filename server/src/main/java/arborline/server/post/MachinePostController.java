package arborline.server.post;

import arborline.server.account.MayEdit;
import arborline.server.machine.Machines;
import arborline.server.post.PostController.PostView;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** The posts of a machine, and with which of them it works. */
@RestController
@RequestMapping("/api/v1/machines/{id}/post")
class MachinePostController {

  private final ChosenPosts chosen;
  private final PostController posts;
  private final Machines machines;

  MachinePostController(ChosenPosts chosen, PostController posts, Machines machines) {
    this.chosen = chosen;
    this.posts = posts;
    this.machines = machines;
  }

  /**
   * Posts of a machine.
   *
   * @param post with which it works; null where none was chosen of several, or there is none
   * @param offered all that serve it
   */
  record MachinePosts(@Nullable Long post, List<PostView> offered) {}

  /** A choice of a post; null for none in particular. */
  record PostChoice(@Nullable Long post) {}

  record PostChosen(long undo) {}

  @GetMapping
  MachinePosts of(@PathVariable String id) {
    machines.get(id);
    return new MachinePosts(
        chosen.chosen(id).map(PostRow::id).orElse(null),
        chosen.offered(id).stream().map(posts::view).toList());
  }

  @PutMapping
  @MayEdit
  PostChosen choose(@PathVariable String id, @RequestBody PostChoice choice) {
    return new PostChosen(chosen.choose(id, choice.post()));
  }
}
