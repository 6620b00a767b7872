package arborline.server.inspection;

import arborline.core.exchange.Cell;
import arborline.core.exchange.RawItem;
import arborline.core.exchange.StackReading;
import arborline.core.finding.Finding;
import arborline.core.inspect.StackCheck;
import arborline.core.library.Codes;
import arborline.core.quantity.Unit;
import arborline.core.stack.Component;
import arborline.core.stack.Cutter;
import arborline.core.stack.PlannedStack;
import arborline.core.stack.Stack;
import arborline.core.stack.StackShape;
import arborline.core.tool.Tool;
import arborline.server.delivery.DeliveryLine;
import arborline.server.delivery.LineRepository;
import arborline.server.support.Refusal;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * The stacks that came with lines, as they would stand, with parts of the delivery and the shop.
 */
@Service
@Transactional(readOnly = true)
class LineStacks {

  private static final int MOST_DECIMALS = 6;
  private static final BigDecimal LONGEST = BigDecimal.valueOf(2000);

  private final LineRepository lines;
  private final LineJudge judge;
  private final DeliveryNeighbours neighbours;
  private final ShopParts shop;

  LineStacks(LineRepository lines, LineJudge judge, DeliveryNeighbours neighbours, ShopParts shop) {
    this.lines = lines;
    this.judge = judge;
    this.neighbours = neighbours;
    this.shop = shop;
  }

  /**
   * A stack as it would stand.
   *
   * @param missing codes of parts that neither the delivery nor the shop has
   * @param shape null where it cannot be built
   * @param clamping least length that its last part holds the shank by, mm
   * @param longest how far the tool can stand out then, mm
   * @param cutterLength mm; 0 where it is not known
   */
  record PlannedShape(
      String name,
      String seat,
      List<String> parts,
      List<String> missing,
      @Nullable StackShape shape,
      double clamping,
      double longest,
      double cutterLength,
      List<Finding> findings) {}

  /**
   * A stack of a line.
   *
   * @param index which of its stacks, from 0
   * @param overhang how far its tool stands out, mm; null as the line says
   */
  PlannedShape of(long deliveryId, long lineId, int index, @Nullable BigDecimal overhang) {
    DeliveryLine line =
        lines
            .findByDeliveryIdAndId(deliveryId, lineId)
            .orElseThrow(() -> Refusal.notFound("there is no such line in the delivery"));
    List<RawItem> stacks = line.raw().stacks();
    if (index < 0 || index >= stacks.size()) {
      throw Refusal.notFound("the line has no stack " + index);
    }
    RawItem asked =
        overhang == null
            ? stacks.get(index)
            : stacks.get(index).with(Map.of(StackReading.OVERHANG, overhang(overhang)));
    StackReading.Interpreted read = StackReading.interpret(asked);
    return read.stack()
        .map(stack -> shape(deliveryId, judge.inspected(line).tool(), stack))
        .orElseGet(() ->
            new PlannedShape(
                asked.text(RawItem.NAME),
                "",
                asked.parts(),
                List.of(),
                null,
                0,
                0,
                0,
                read.findings()));
  }

  /** A length as a cell of a stack; what no tool can stand out is refused. */
  static Cell overhang(BigDecimal length) {
    BigDecimal plain = length.stripTrailingZeros();
    if (plain.signum() <= 0 || plain.compareTo(LONGEST) > 0 || plain.scale() > MOST_DECIMALS) {
      throw Refusal.badRequest(
          "overhang is a length above 0 and up to 2000 mm, with at most %d decimals"
              .formatted(MOST_DECIMALS));
    }
    return Cell.of(plain.toPlainString(), Unit.MILLIMETRE);
  }

  private PlannedShape shape(long deliveryId, Tool tool, PlannedStack stack) {
    List<String> keys = stack.parts().stream().map(Codes::key).toList();
    Map<String, Component> delivered = neighbours.parts(deliveryId, keys);
    Map<String, ShopParts.KnownPart> known = shop.byKeys(keys);
    List<Component> parts = new ArrayList<>();
    List<String> missing = new ArrayList<>();
    for (String code : stack.parts()) {
      Optional<Component> part =
          Optional.ofNullable(delivered.get(Codes.key(code)))
              .or(() ->
                  Optional.ofNullable(known.get(Codes.key(code)))
                      .map(ShopParts.KnownPart::component));
      part.ifPresent(parts::add);
      if (part.isEmpty()) {
        missing.add(code);
      }
    }
    List<Finding> findings =
        StackCheck.obstacles(
            tool,
            stack,
            code ->
                parts.stream()
                    .filter(one -> Codes.key(one.code()).equals(Codes.key(code)))
                    .findFirst());
    Optional<Cutter> cutter = Cutter.of(tool);
    Optional<Stack> built =
        missing.isEmpty()
            ? cutter.map(one -> StackCheck.built(stack, parts, one))
            : Optional.empty();
    return new PlannedShape(
        stack.name(),
        stack.seat(),
        stack.parts(),
        missing,
        built.map(Stack::shape).orElse(null),
        parts.isEmpty() ? 0 : parts.getLast().clamping().doubleValue(),
        built.map(Stack::longestOverhang).orElse(0.0),
        cutter.map(Cutter::length).orElse(0.0),
        built.map(Stack::findings).orElse(findings));
  }
}
