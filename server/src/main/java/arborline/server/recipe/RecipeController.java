package arborline.server.recipe;

import arborline.server.account.MayReceive;
import arborline.server.support.Slice;
import arborline.server.trail.Undoable;
import java.time.Instant;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api/v1/recipes")
class RecipeController {

  private final Recipes recipes;

  RecipeController(Recipes recipes) {
    this.recipes = recipes;
  }

  /** A recipe in its newest version. */
  record RecipeView(long id, String name, int number, Instant at, String by, RecipeBody body) {}

  private static RecipeView view(Recipes.Kept kept) {
    return new RecipeView(
        kept.id(),
        kept.recipe().name(),
        kept.recipe().number(),
        kept.at(),
        kept.by(),
        RecipeBody.of(kept.recipe()));
  }

  @GetMapping
  Slice<RecipeView> all() {
    return Slice.all(recipes.all().stream().map(RecipeController::view).toList());
  }

  @GetMapping("/{id}")
  RecipeView one(@PathVariable long id) {
    return view(recipes.get(id));
  }

  /** A recipe as a file. */
  @GetMapping("/{id}/file")
  ResponseEntity<RecipeBody> file(@PathVariable long id) {
    Recipes.Kept kept = recipes.get(id);
    String name = kept.recipe().name().replaceAll("[^A-Za-z0-9]+", "-") + ".recipe.json";
    return ResponseEntity.ok()
        .header(
            HttpHeaders.CONTENT_DISPOSITION,
            ContentDisposition.attachment().filename(name).build().toString())
        .body(RecipeBody.of(kept.recipe()));
  }

  /** Brings a recipe in, as one more version where its name is known. */
  @PostMapping
  @MayReceive
  @ResponseStatus(HttpStatus.CREATED)
  RecipeView bring(@RequestBody RecipeBody body) {
    return view(recipes.save(body));
  }

  @DeleteMapping("/{id}")
  @MayReceive
  Undoable putAway(@PathVariable long id) {
    return new Undoable(recipes.putAway(id));
  }
}
