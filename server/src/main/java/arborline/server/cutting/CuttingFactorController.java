package arborline.server.cutting;

import arborline.server.account.MayEdit;
import arborline.server.support.LongWork;
import arborline.server.support.Refusal;
import arborline.server.support.ToolIds;
import java.math.BigDecimal;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Cutting data of many tools by a factor. */
@RestController
@RequestMapping("/api/v1/cutting/bulk")
class CuttingFactorController {

  private static final int MOST_TOOLS = 100_000;
  private static final BigDecimal LEAST = new BigDecimal("0.01");
  private static final BigDecimal MOST = new BigDecimal("100");
  private static final int DECIMALS = 6;

  private final CuttingFactor factor;

  CuttingFactorController(CuttingFactor factor) {
    this.factor = factor;
  }

  /**
   * Which number of which lines is multiplied.
   *
   * @param material of the lines that are meant; null for all
   * @param expected how many lines the preview said would change; null where there was none
   */
  record FactorOrder(
      @Nullable List<@Nullable Long> tools,
      @Nullable CuttingNumber number,
      @Nullable BigDecimal factor,
      @Nullable String material,
      @Nullable Integer expected) {

    List<Long> ids() {
      return ToolIds.of("tools", tools, MOST_TOOLS);
    }

    CuttingNumber which() {
      if (number == null) {
        throw Refusal.badRequest("number is SPEED, FEED, DEPTH or WIDTH");
      }
      return number;
    }

    BigDecimal by() {
      if (factor == null || factor.compareTo(LEAST) < 0 || factor.compareTo(MOST) > 0) {
        throw Refusal.badRequest("factor is a number from %s to %s".formatted(LEAST, MOST));
      }
      if (factor.scale() > DECIMALS) {
        throw Refusal.badRequest("factor has at most %d decimals".formatted(DECIMALS));
      }
      return factor;
    }
  }

  /** Multiplies, or says what that would do. */
  @PostMapping
  @MayEdit
  @LongWork
  CuttingFactor.FactorAnswer multiply(
      @RequestBody FactorOrder order, @RequestParam(defaultValue = "false") boolean preview) {
    return factor.multiply(
        order.ids(),
        order.which(),
        order.by(),
        order.material() == null || order.material().isBlank() ? null : order.material(),
        order.expected() == null ? -1 : order.expected(),
        preview);
  }
}
