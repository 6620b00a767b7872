package arborline.server.cutting;

import arborline.core.cutting.Coating;
import arborline.core.cutting.CutterMaterial;
import arborline.core.cutting.OwnMaterial;
import arborline.core.cutting.WorkMaterial;
import arborline.server.account.MayEdit;
import arborline.server.support.Slice;
import java.util.OptionalDouble;
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
@RequestMapping("/api/v1")
class MaterialController {

  private final Materials materials;

  MaterialController(Materials materials) {
    this.materials = materials;
  }

  /**
   * A material as somebody writes it.
   *
   * @param force kc1.1, N/mm2
   * @param hardness HB; stands for the force where that is not known
   */
  record MaterialDraft(
      @Nullable String name,
      @Nullable String group,
      @Nullable Double force,
      @Nullable Double rise,
      @Nullable Double hardness) {

    OwnMaterial material() {
      return new OwnMaterial(
          name == null ? "" : name, group == null ? "" : group, of(force), of(rise), of(hardness));
    }

    private static OptionalDouble of(@Nullable Double number) {
      return number == null ? OptionalDouble.empty() : OptionalDouble.of(number);
    }
  }

  @GetMapping("/materials")
  Slice<WorkMaterial> materials() {
    return Slice.all(materials.all());
  }

  @PostMapping("/materials")
  @MayEdit
  @ResponseStatus(HttpStatus.CREATED)
  WorkMaterial add(@RequestBody MaterialDraft draft) {
    return materials.add(draft.material());
  }

  @DeleteMapping("/materials/{id}")
  @MayEdit
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void remove(@PathVariable String id) {
    materials.remove(id);
  }

  @GetMapping("/cutter-materials")
  Slice<CutterMaterial> cutterMaterials() {
    return Slice.all(CutterMaterial.all());
  }

  @GetMapping("/coatings")
  Slice<Coating> coatings() {
    return Slice.all(Coating.all());
  }
}
