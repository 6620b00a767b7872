package arborline.server.outlet;

import arborline.server.account.MayEdit;
import arborline.server.support.Slice;
import arborline.server.trail.Undoable;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Outlets of libraries. */
@RestController
@RequestMapping("/api/v1/outlets")
class OutletController {

  private final Outlets outlets;
  private final OutletViews views;

  OutletController(Outlets outlets, OutletViews views) {
    this.outlets = outlets;
    this.views = views;
  }

  /**
   * Outlets and how they stand.
   *
   * @param library null for those of all libraries
   */
  @GetMapping
  Slice<OutletViews.OutletView> all(@RequestParam(required = false) @Nullable Long library) {
    return Slice.all(views.all(library));
  }

  /** Opens an outlet; the address of one behind a key is told this once. */
  @PostMapping
  @MayEdit
  @ResponseStatus(HttpStatus.CREATED)
  Outlets.OutletOpened open(@RequestBody Outlets.OutletOrder order) {
    return outlets.open(order);
  }

  @GetMapping("/{id}")
  OutletViews.OutletView one(@PathVariable long id) {
    return views.get(id);
  }

  /** Has it written again, whatever stands there. */
  @PostMapping("/{id}/write")
  @MayEdit
  @ResponseStatus(HttpStatus.ACCEPTED)
  OutletViews.OutletView write(@PathVariable long id) {
    outlets.again(id);
    return views.get(id);
  }

  /** Gives it another address; the former one stops. */
  @PostMapping("/{id}/address")
  @MayEdit
  Outlets.OutletOpened address(@PathVariable long id) {
    return outlets.newAddress(id);
  }

  /** Closes it; the file in its folder stays. */
  @DeleteMapping("/{id}")
  @MayEdit
  Undoable close(@PathVariable long id) {
    return outlets.close(id);
  }
}
