package arborline.server.library;

import arborline.core.library.LibraryProcess;
import arborline.core.library.LibraryProcesses;
import arborline.core.library.NumberRange;
import arborline.core.library.VisibleText;
import arborline.core.tool.Process;
import arborline.core.tool.ToolClasses;
import arborline.server.library.LibrarySettings.Label;
import arborline.server.support.Refusal;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/** Refuses settings of a library that cannot be, in words; answers them in their usual form. */
final class SettingsCheck {

  private static final int LONGEST_NAME = 100;
  private static final int LONGEST_PURPOSE = 500;
  private static final int LONGEST_LABEL = 60;
  private static final int MOST_LABELS = 40;
  private static final int MOST_RANGES = 100;

  private SettingsCheck() {}

  static LibrarySettings checked(LibrarySettings wanted) {
    return new LibrarySettings(
        name(wanted.name()),
        purpose(wanted.purpose()),
        processes(wanted.processes()),
        labels(wanted.labels()),
        ranges(wanted.ranges()),
        wanted.follows(),
        wanted.archived());
  }

  /** A list none of whose members is missing. */
  static <T> Optional<List<T>> full(String member, @Nullable List<@Nullable T> list) {
    if (list != null && list.stream().anyMatch(Objects::isNull)) {
      throw Refusal.badRequest(member + " has an empty entry");
    }
    return Optional.ofNullable(list);
  }

  static String name(@Nullable String name) {
    if (name == null || name.isBlank() || name.strip().length() > LONGEST_NAME) {
      throw Refusal.badRequest(
          "a library needs a name of 1 to %d characters".formatted(LONGEST_NAME));
    }
    VisibleText.fault("name", name.strip())
        .ifPresent(fault -> {
          throw Refusal.badRequest(fault);
        });
    return name.strip();
  }

  private static String purpose(String purpose) {
    if (purpose.strip().length() > LONGEST_PURPOSE) {
      throw Refusal.badRequest(
          "what a library is for has at most %d characters".formatted(LONGEST_PURPOSE));
    }
    return purpose.strip();
  }

  private static List<String> processes(List<String> words) {
    for (String word : words) {
      if (LibraryProcess.named(word).isEmpty()) {
        throw Refusal.badRequest(
            "there is no process '%s'; a library is for %s"
                .formatted(
                    word,
                    String.join(
                        ", ", Arrays.stream(LibraryProcess.values()).map(p -> p.word()).toList())));
      }
    }
    String text = LibraryProcesses.parse(String.join(" ", words)).text();
    return Stream.of(text.split(" ")).filter(word -> !word.isEmpty()).toList();
  }

  private static List<Label> labels(List<Label> labels) {
    if (labels.size() > MOST_LABELS) {
      throw Refusal.badRequest("a library has at most %d labels".formatted(MOST_LABELS));
    }
    return labels.stream()
        .map(SettingsCheck::label)
        .distinct()
        .sorted(
            Comparator.comparing((Label label) -> label.kind().name()).thenComparing(Label::label))
        .toList();
  }

  private static Label label(Label label) {
    if (label.kind() == null
        || label.label() == null
        || label.label().isBlank()
        || label.label().strip().length() > LONGEST_LABEL) {
      throw Refusal.badRequest(
          "a label has a kind (MACHINE, JOB or MATERIAL) and 1 to %d characters"
              .formatted(LONGEST_LABEL));
    }
    return new Label(label.kind(), label.label().strip());
  }

  private static List<NumberRange> ranges(List<NumberRange> ranges) {
    if (ranges.size() > MOST_RANGES) {
      throw Refusal.badRequest("a library keeps at most %d ranges".formatted(MOST_RANGES));
    }
    for (NumberRange range : ranges) {
      range(range);
      if (ranges.stream().filter(other -> range.of().equals(other.of())).count() > 1) {
        throw Refusal.badRequest("there are two ranges for " + range.of());
      }
    }
    return ranges.stream()
        .sorted(Comparator.comparingInt(NumberRange::first).thenComparing(NumberRange::of))
        .toList();
  }

  private static void range(NumberRange range) {
    boolean known =
        range.of() != null
            && (ToolClasses.named(range.of()).isPresent()
                || Arrays.stream(Process.values())
                    .anyMatch(process -> NumberRange.word(process).equals(range.of())));
    if (!known) {
      throw Refusal.badRequest(
          "'%s' is neither a class nor a process that a range can be for".formatted(range.of()));
    }
    if (range.first() < 1 || range.last() < range.first() || range.last() > NumberRange.LARGEST) {
      throw Refusal.badRequest(
          "the range of %s is from 1 to %d at most, the first number not above the last"
              .formatted(range.of(), NumberRange.LARGEST));
    }
  }
}
