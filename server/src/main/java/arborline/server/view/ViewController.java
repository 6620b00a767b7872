package arborline.server.view;

import arborline.server.support.Refusal;
import arborline.server.support.Slice;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Views of lists of tools. Everybody who is signed in keeps their own. */
@RestController
@RequestMapping("/api/v1/views")
class ViewController {

  private final ListViews views;

  ViewController(ListViews views) {
    this.views = views;
  }

  /** A view as it is to be kept; {@code shared} null for one's own. */
  record ViewOrder(
      @Nullable String name, @Nullable Boolean shared, @Nullable ViewDefinition definition) {

    String called() {
      if (name == null) {
        throw Refusal.badRequest("name is what the view is called");
      }
      return name;
    }

    ViewDefinition defined() {
      if (definition == null) {
        throw Refusal.badRequest("definition says what the view is");
      }
      return definition;
    }

    boolean forAll() {
      return Boolean.TRUE.equals(shared);
    }
  }

  @GetMapping
  Slice<ListViews.ListView> all() {
    return Slice.all(views.all());
  }

  @PostMapping
  @ResponseStatus(HttpStatus.CREATED)
  ListViews.ListView add(@RequestBody ViewOrder order) {
    return views.add(order.called(), order.forAll(), order.defined());
  }

  @PutMapping("/{id}")
  ListViews.ListView change(
      @PathVariable long id, @RequestParam int version, @RequestBody ViewOrder order) {
    return views.change(id, version, order.called(), order.forAll(), order.defined());
  }

  @DeleteMapping("/{id}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void delete(@PathVariable long id) {
    views.delete(id);
  }
}
