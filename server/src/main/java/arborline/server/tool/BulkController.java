package arborline.server.tool;

import arborline.core.edit.BulkEdit;
import arborline.core.edit.ReplaceInName;
import arborline.core.edit.SetByFormula;
import arborline.core.edit.SetValue;
import arborline.core.formula.ValueFormula;
import arborline.core.property.Dictionary;
import arborline.core.property.Property;
import arborline.core.quantity.Unit;
import arborline.server.account.MayEdit;
import arborline.server.support.LongWork;
import arborline.server.support.Refusal;
import arborline.server.support.Retried;
import arborline.server.support.StopRequests;
import arborline.server.support.ToolIds;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** One change to many tools. */
@RestController
@RequestMapping("/api/v1/tools/bulk")
class BulkController {

  private static final int MOST_TOOLS = 100_000;
  private static final int LONGEST = 500;
  private static final String WORK = "[A-Za-z0-9-]{1,40}";

  private final BulkEdits edits;
  private final StopRequests stops;

  BulkController(BulkEdits edits, StopRequests stops) {
    this.edits = edits;
    this.stops = stops;
  }

  /** What a change does. */
  enum EditKind {
    VALUE,
    FORMULA,
    REPLACE
  }

  /**
   * One change to many tools.
   *
   * @param symbol of the property; null for words in names
   * @param text the value, the formula, or the words that are looked for
   * @param with what stands there instead of these words
   * @param unit of numbers without one; null for the property's own
   * @param alike true where capitals make a difference to words
   * @param expected how many tools the preview said would change; null where there was none
   * @param work a name of the caller's choice, to hear how far it is and to stop it
   */
  record BulkOrder(
      @Nullable List<@Nullable Long> tools,
      @Nullable EditKind kind,
      @Nullable String symbol,
      @Nullable String text,
      @Nullable String with,
      @Nullable String unit,
      @Nullable Boolean alike,
      @Nullable Integer expected,
      @Nullable String work) {

    List<Long> ids() {
      return ToolIds.of("tools", tools, MOST_TOOLS);
    }

    BulkEdit edit() {
      String typed = Optional.ofNullable(text).orElse("");
      if (typed.length() > LONGEST || with != null && with.length() > LONGEST) {
        throw Refusal.badRequest("at most %d characters can be written".formatted(LONGEST));
      }
      if (kind == null) {
        throw Refusal.badRequest("kind is VALUE, FORMULA or REPLACE");
      }
      return switch (kind) {
        case VALUE -> new SetValue(property().symbol(), typed, unit(property()));
        case FORMULA -> formula(typed);
        case REPLACE -> {
          if (typed.isEmpty()) {
            throw Refusal.badRequest("say which words are to be replaced");
          }
          yield new ReplaceInName(
              typed, Optional.ofNullable(with).orElse(""), Boolean.TRUE.equals(alike));
        }
      };
    }

    private Property property() {
      return Dictionary.standard()
          .find(Optional.ofNullable(symbol).orElse(""))
          .orElseThrow(() -> Refusal.badRequest("there is no property '%s'".formatted(symbol)));
    }

    private Optional<Unit> unit(Property property) {
      if (unit == null || unit.isBlank()) {
        return Optional.empty();
      }
      Unit named =
          Unit.named(unit)
              .orElseThrow(() -> Refusal.badRequest("'%s' is not a unit".formatted(unit)));
      if (!property.accepts(named)) {
        throw Refusal.badRequest(
            "%s is not measured in %s".formatted(property.symbol(), named.code()));
      }
      return Optional.of(named);
    }

    private BulkEdit formula(String typed) {
      Property property = property();
      Unit own =
          property
              .unit()
              .orElseThrow(() ->
                  Refusal.badRequest(
                      "%s is no number; write a value".formatted(property.symbol())));
      ValueFormula.Read read = ValueFormula.read(typed);
      return new SetByFormula(
          property.symbol(),
          read.formula().orElseThrow(() -> Refusal.badRequest(read.fault())),
          unit(property).orElse(own));
    }

    String named() {
      String name = Optional.ofNullable(work).orElseGet(() -> UUID.randomUUID().toString());
      if (!name.matches(WORK)) {
        throw Refusal.badRequest("work is a name of 1 to 40 letters, digits and hyphens");
      }
      return name;
    }
  }

  /**
   * Changes tools.
   *
   * @param preview true where only what would happen is asked
   */
  @PostMapping
  @MayEdit
  @LongWork
  BulkEdits.BulkAnswer bulk(
      @RequestParam(defaultValue = "false") boolean preview, @RequestBody BulkOrder order) {
    BulkEdit edit = order.edit();
    if (preview) {
      return edits.preview(order.ids(), edit);
    }
    int expected = order.expected() == null ? -1 : order.expected();
    String work = order.named();
    stops.clear(BulkEdits.name(work));
    return Retried.of(() -> edits.apply(order.ids(), edit, expected, work));
  }

  /** Has a change stopped that is being made; nothing of it stays then. */
  @PostMapping("/{work}/stop")
  @MayEdit
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void stop(@PathVariable String work) {
    if (!work.matches(WORK)) {
      throw Refusal.badRequest("work is a name of 1 to 40 letters, digits and hyphens");
    }
    stops.ask(BulkEdits.name(work));
  }
}
