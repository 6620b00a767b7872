package arborline.server.derived;

import arborline.core.edition.BaseUpdate;
import arborline.core.edition.FieldChange;
import arborline.core.edition.FrozenEntry;
import arborline.core.exchange.Interpreter;
import arborline.core.exchange.RawItem;
import arborline.core.merge.CodeText;
import arborline.core.merge.MergeContent;
import arborline.core.merge.MergeTool;
import arborline.core.merge.PlainText;
import arborline.core.tool.Completed;
import arborline.core.tool.Silhouettes;
import arborline.core.tool.outline.Outline;
import arborline.server.edition.EditionHead;
import java.util.List;
import java.util.Optional;
import java.util.OptionalLong;
import org.jspecify.annotations.Nullable;

/**
 * What a newer edition of its base would change in a derived library.
 *
 * @param base its name
 * @param from edition that was taken in
 * @param to the newer one; null where there is none
 * @param steps what becomes of tools by itself, once the questions are answered; of many not all
 *     are told, which the counts do
 * @param questions what both changed, to be answered one by one
 */
record BaseUpdateView(
    String base,
    String ending,
    EditionHead from,
    @Nullable EditionHead to,
    int added,
    int changed,
    int removed,
    List<UpdateStep> steps,
    List<UpdateQuestion> questions) {

  private static final int MOST_SHOWN = 500;

  /**
   * A tool that does not stay as it is.
   *
   * @param toolId null for one that comes in
   * @param code here
   * @param obstacles why it cannot become so; empty where it can
   */
  record UpdateStep(
      BaseUpdate.Kind kind,
      @Nullable Long toolId,
      String code,
      String name,
      List<UpdatedField> fields,
      @Nullable Outline before,
      @Nullable Outline after,
      List<String> obstacles) {}

  /**
   * A field that becomes another one.
   *
   * @param before null where it was not there
   * @param after null where it is not there any more
   */
  record UpdatedField(
      String name, @Nullable String before, @Nullable String after, boolean writing) {}

  /**
   * What both changed.
   *
   * @param code of the tool in the base
   * @param field as in editions, {@code code}, or {@code *} for whether the tool stays at all
   * @param toolId here; null where it is not here any more
   * @param before what stood in the base
   * @param theirs what stands in the base now; null where it is not there any more
   * @param ours what stands here; null where it is not there any more
   */
  record UpdateQuestion(
      String code,
      String field,
      @Nullable Long toolId,
      String name,
      @Nullable String before,
      @Nullable String theirs,
      @Nullable String ours,
      @Nullable Outline theirOutline,
      @Nullable Outline ourOutline) {}

  static BaseUpdateView nothing(String base, DerivedLibrary library, EditionHead from) {
    return new BaseUpdateView(base, library.ending(), from, null, 0, 0, 0, List.of(), List.of());
  }

  static BaseUpdateView of(String base, BaseUpdates.Steps update, BaseUpdate.Outcome outcome) {
    return new BaseUpdateView(
        base,
        update.library().ending(),
        update.from(),
        update.to(),
        count(outcome, BaseUpdate.Kind.ADDED),
        count(outcome, BaseUpdate.Kind.CHANGED),
        count(outcome, BaseUpdate.Kind.REMOVED),
        outcome.steps().stream().limit(MOST_SHOWN).map(BaseUpdateView::step).toList(),
        outcome.open().stream().limit(MOST_SHOWN).map(BaseUpdateView::question).toList());
  }

  private static int count(BaseUpdate.Outcome outcome, BaseUpdate.Kind kind) {
    return (int) outcome.steps().stream().filter(step -> step.kind() == kind).count();
  }

  private static UpdateStep step(BaseUpdate.Step step) {
    FrozenEntry shown = step.after().or(step::before).orElseThrow();
    return new UpdateStep(
        step.kind(),
        boxed(step.toolId()),
        step.code(),
        shown.tool().tool().text(RawItem.NAME),
        fields(step),
        outline(step.before()),
        outline(step.after()),
        DerivedTools.obstacles(step));
  }

  private static List<UpdatedField> fields(BaseUpdate.Step step) {
    if (step.before().isEmpty() || step.after().isEmpty()) {
      return List.of();
    }
    return fields(step.before().get(), step.after().get());
  }

  /** What is not the same in two states of a tool. */
  static List<UpdatedField> fields(FrozenEntry before, FrozenEntry after) {
    return FieldChange.between(before.fields(), after.fields()).stream()
        .map(change ->
            new UpdatedField(
                change.name(),
                change.before().orElse(null),
                change.after().orElse(null),
                change.writing()))
        .toList();
  }

  private static UpdateQuestion question(BaseUpdate.Open open) {
    FrozenEntry shown = open.ours().or(open::theirs).or(open::before).orElseThrow();
    return new UpdateQuestion(
        open.conflict().code(),
        open.conflict().field(),
        boxed(open.toolId()),
        shown.tool().tool().text(RawItem.NAME),
        text(open.conflict().base()),
        text(open.conflict().theirs()),
        text(open.conflict().ours()),
        outline(open.theirs()),
        outline(open.ours()));
  }

  private static @Nullable String text(Optional<? extends MergeContent> content) {
    return content
        .map(one ->
            switch (one) {
              case PlainText plain -> plain.text();
              case CodeText code -> code.code();
              case MergeTool tool ->
                  Optional.ofNullable(tool.fields().get("name"))
                      .map(BaseUpdateView::plain)
                      .orElse("");
              default -> one.toString();
            })
        .orElse(null);
  }

  private static String plain(MergeContent content) {
    return content instanceof PlainText plain ? plain.text() : content.toString();
  }

  private static @Nullable Long boxed(OptionalLong id) {
    return id.isPresent() ? id.getAsLong() : null;
  }

  static @Nullable Outline outline(Optional<FrozenEntry> entry) {
    return entry
        .flatMap(one ->
            Silhouettes.of(Completed.of(Interpreter.interpret(one.tool().tool()).tool()).tool()))
        .orElse(null);
  }
}
