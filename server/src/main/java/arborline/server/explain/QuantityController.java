package arborline.server.explain;

import arborline.core.quantity.Conversion;
import arborline.core.quantity.Entry;
import arborline.core.quantity.EntryParser;
import arborline.core.quantity.Unit;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api/v1/explain")
class QuantityController {

  /**
   * A converted quantity.
   *
   * @param exact decimal text; twelve decimals where there is no finite form
   * @param rounded half-up to the decimals asked for
   * @param why reason where it is not valid
   */
  record QuantityAnswer(
      boolean valid, @Nullable String exact, @Nullable String rounded, @Nullable String why) {}

  @GetMapping("/quantity")
  QuantityAnswer quantity(
      @RequestParam String text,
      @RequestParam String from,
      @RequestParam String to,
      @RequestParam(defaultValue = "3") int decimals) {
    for (String unit : List.of(from, to)) {
      if (Unit.named(unit).isEmpty()) {
        return new QuantityAnswer(false, null, null, "'%s' is not a unit".formatted(unit));
      }
    }
    Unit source = Unit.named(from).orElseThrow();
    Unit target = Unit.named(to).orElseThrow();
    return switch (EntryParser.parse(text, source)) {
      case Entry.Refused refused ->
          new QuantityAnswer(false, null, null, refused.reason() + "; " + refused.remedy());
      case Entry.Understood understood -> {
        BigDecimal amount = understood.quantity().amount();
        Unit authored = understood.quantity().unit();
        Optional<String> obstacle = Conversion.obstacle(amount, authored, target);
        if (obstacle.isPresent()) {
          yield new QuantityAnswer(false, null, null, obstacle.get());
        }
        BigDecimal result = Conversion.convert(amount, authored, target).amount();
        yield new QuantityAnswer(
            true,
            result.toPlainString(),
            result.setScale(Math.clamp(decimals, 0, 12), RoundingMode.HALF_UP).toPlainString(),
            null);
      }
    };
  }
}
