package arborline.server.library;

import arborline.core.sharing.LibraryRight;
import arborline.core.sharing.LibraryRights;
import arborline.core.sharing.Sharing;
import arborline.server.account.MayEdit;
import arborline.server.account.Role;
import arborline.server.right.RightsBook;
import arborline.server.support.Refusal;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Who may do what in a library. */
@RestController
@RequestMapping("/api/v1/libraries/{id}/rights")
class LibraryRightsController {

  private static final int MOST_PEOPLE = 1_000;

  private final RightsBook book;
  private final LibrarySharing sharing;

  LibraryRightsController(RightsBook book, LibrarySharing sharing) {
    this.book = book;
    this.sharing = sharing;
  }

  @GetMapping
  RightsBook.RightsView rights(@PathVariable long id) {
    return book.view(id);
  }

  /** A right that a person is to have. */
  record PersonOrder(@Nullable Long account, @Nullable LibraryRight right) {}

  /** A right that a role is to have; roles that are not named have what is usual. */
  record RoleOrder(@Nullable Role role, @Nullable LibraryRight right) {}

  /** Who is to do what. */
  record RightsOrder(
      @Nullable Sharing sharing,
      @Nullable List<PersonOrder> people,
      @Nullable List<RoleOrder> roles,
      @Nullable String stamp) {}

  /**
   * Who may do what since.
   *
   * @param rights null where whoever changed them does not see the library any more
   * @param undo line of the trail that takes it back; 0 where nothing changed
   */
  record RightsDone(RightsBook.@Nullable RightsView rights, long undo) {}

  @PutMapping
  @MayEdit
  RightsDone change(@PathVariable long id, @RequestBody RightsOrder order) {
    if (order.sharing() == null) {
      throw Refusal.badRequest("sharing is PRIVATE, SHOP or REFERENCE");
    }
    Map<Long, LibraryRight> people = new HashMap<>();
    for (PersonOrder one : Optional.ofNullable(order.people()).orElse(List.of())) {
      if (one.account() == null || one.right() == null || people.size() >= MOST_PEOPLE) {
        throw Refusal.badRequest("people is a list of up to 1000 accounts, each with a right");
      }
      people.put(one.account(), one.right());
    }
    Map<String, LibraryRight> roles = new HashMap<>();
    for (RoleOrder one : Optional.ofNullable(order.roles()).orElse(List.of())) {
      if (one.role() == null || one.right() == null) {
        throw Refusal.badRequest("roles is a list of roles, each with a right");
      }
      roles.put(one.role().name(), one.right());
    }
    long undo =
        sharing.change(id, new LibraryRights(order.sharing(), people, roles), order.stamp());
    return new RightsDone(view(id), undo);
  }

  private RightsBook.@Nullable RightsView view(long id) {
    try {
      return book.view(id);
    } catch (Refusal gone) {
      return null;
    }
  }
}
