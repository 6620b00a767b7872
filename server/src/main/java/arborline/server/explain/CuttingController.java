package arborline.server.explain;

import arborline.core.cutting.formula.Formula;
import arborline.core.cutting.formula.Formulas;
import arborline.core.cutting.formula.Inputs;
import arborline.core.cutting.formula.Segment;
import arborline.core.finding.Finding;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Computes single quantities of cutting data by the formulas that the sheet uses. */
@RestController
@RequestMapping("/api/v1/explain")
class CuttingController {

  private static final String KAPR = "KAPR";
  private static final String EDGE_ANGLE = "ka";

  /**
   * A computed quantity.
   *
   * @param value null where it cannot be
   * @param formula as written in textbooks
   */
  record CuttingAnswer(
      boolean valid,
      @Nullable Double value,
      @Nullable String unit,
      @Nullable String formula,
      Map<String, String> properties,
      List<Finding> findings) {

    static CuttingAnswer impossible(@Nullable Formula formula, String why) {
      return new CuttingAnswer(
          false,
          null,
          formula == null ? null : formula.unit(),
          formula == null ? null : formula.text(),
          Map.of(),
          List.of(Finding.hold("cutting", why)));
    }
  }

  @GetMapping("/cutting")
  CuttingAnswer cutting(
      @RequestParam String quantity, @RequestParam Map<String, String> parameters) {
    Optional<Formula> found = Formulas.named(quantity);
    if (found.isEmpty()) {
      return CuttingAnswer.impossible(
          null,
          "no formula gives '%s'; there are %s"
              .formatted(
                  quantity, String.join(", ", Formulas.all().stream().map(Formula::id).toList())));
    }
    Formula formula = found.get();
    Map<String, String> named = named(formula, parameters);
    Optional<String> unknown =
        named.keySet().stream()
            .filter(name -> !name.equals("segs") && !formula.takes(name))
            .findFirst();
    if (unknown.isPresent()) {
      return CuttingAnswer.impossible(
          formula,
          "%s has no input '%s'; it takes %s"
              .formatted(formula.id(), unknown.get(), String.join(", ", inputs(formula))));
    }
    try {
      Inputs inputs = inputs(named);
      return formula
          .obstacle(inputs)
          .map(why -> CuttingAnswer.impossible(formula, why))
          .orElseGet(() ->
              new CuttingAnswer(
                  true,
                  formula.apply(inputs),
                  formula.unit(),
                  formula.text(),
                  Map.of(),
                  List.of()));
    } catch (NumberFormatException broken) {
      return CuttingAnswer.impossible(formula, broken.getMessage());
    }
  }

  private static List<String> inputs(Formula formula) {
    return Stream.of(formula.needs(), formula.anySign(), formula.optional())
        .flatMap(List::stream)
        .distinct()
        .map(name -> name.equals(EDGE_ANGLE) ? KAPR : name)
        .toList();
  }

  /** The inputs by the names that formulas have; the edge angle KAPR is kappa there. */
  private static Map<String, String> named(Formula formula, Map<String, String> parameters) {
    Map<String, String> named = new LinkedHashMap<>(parameters);
    named.remove("quantity");
    if (!formula.takes(KAPR) && formula.takes(EDGE_ANGLE) && named.containsKey(KAPR)) {
      named.put(EDGE_ANGLE, named.remove(KAPR));
    }
    return named;
  }

  private static Inputs inputs(Map<String, String> parameters) {
    Map<String, Double> numbers = new LinkedHashMap<>();
    List<Segment> segments = new ArrayList<>();
    parameters.forEach((name, text) -> {
      if (name.equals("segs")) {
        segments.addAll(segments(text));
      } else if (!text.isBlank()) {
        numbers.put(name, number(name, text));
      }
    });
    return new Inputs(numbers, segments);
  }

  /** {@code length:from:to:modulus|...}, the free end first. */
  private static List<Segment> segments(String text) {
    List<Segment> segments = new ArrayList<>();
    for (String stretch : text.split("\\|")) {
      String[] parts = stretch.split(":");
      if (parts.length != 4) {
        throw new NumberFormatException(
            "segs: '%s' is not length:from:to:modulus".formatted(stretch));
      }
      segments.add(
          new Segment(
              number("segs", parts[0]),
              number("segs", parts[1]),
              number("segs", parts[2]),
              number("segs", parts[3])));
    }
    return segments;
  }

  private static double number(String name, String text) {
    try {
      return new java.math.BigDecimal(text.strip()).doubleValue();
    } catch (NumberFormatException broken) {
      throw new NumberFormatException("%s: '%s' is not a number".formatted(name, text));
    }
  }
}
