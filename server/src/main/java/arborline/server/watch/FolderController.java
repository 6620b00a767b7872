package arborline.server.watch;

import arborline.server.account.MayReceive;
import arborline.server.support.Slice;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api/v1/folders")
class FolderController {

  private final WatchedFolders folders;

  FolderController(WatchedFolders folders) {
    this.folders = folders;
  }

  /**
   * A watched folder.
   *
   * @param path where it stands on the server
   * @param library into which its tools are meant to go
   * @param recipe by which its tables are read
   */
  record FolderView(
      long id, String name, String path, @Nullable Long library, @Nullable String recipe) {}

  record FolderOrder(@Nullable String name, @Nullable Long library, @Nullable String recipe) {}

  private FolderView view(WatchedFolders.Folder folder) {
    String path = folders.root().map(root -> root.resolve(folder.name()).toString()).orElse("");
    return new FolderView(folder.id(), folder.name(), path, folder.libraryId(), folder.recipe());
  }

  @GetMapping
  Slice<FolderView> all() {
    List<FolderView> views = folders.all().stream().map(this::view).toList();
    return Slice.all(views);
  }

  /** Begins to watch a folder. */
  @PostMapping
  @MayReceive
  @ResponseStatus(HttpStatus.CREATED)
  FolderView add(@RequestBody FolderOrder order) {
    return view(folders.add(order.name(), order.library(), order.recipe()));
  }

  /** Watches a folder no more; what is in it stays. */
  @DeleteMapping("/{id}")
  @MayReceive
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void remove(@PathVariable long id) {
    folders.remove(id);
  }
}
