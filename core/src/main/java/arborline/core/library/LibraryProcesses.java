package arborline.core.library;

import arborline.core.tool.Process;
import java.util.Arrays;
import java.util.EnumSet;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * The processes that a library may hold; none stated means that it holds everything. A library for
 * milling and turning is one for mill-turn machines. Tools for holes and threads, and probes, are
 * used in milling, turning and routing alike.
 */
public record LibraryProcesses(Set<LibraryProcess> stated) {

  public static final LibraryProcesses ANY = new LibraryProcesses(Set.of());

  private static final Set<LibraryProcess> WITH_HOLES =
      EnumSet.of(LibraryProcess.MILLING, LibraryProcess.TURNING, LibraryProcess.ROUTING);

  public LibraryProcesses {
    stated = Set.copyOf(stated);
  }

  /** From words with blanks between them; what is none of ours is left out. */
  public static LibraryProcesses parse(String words) {
    return new LibraryProcesses(
        Arrays.stream(words.split(" "))
            .flatMap(word -> LibraryProcess.named(word).stream())
            .collect(Collectors.toSet()));
  }

  /** Words with blanks between them, in their order. */
  public String text() {
    return words(" ");
  }

  private String words(String between) {
    return stated.stream().sorted().map(LibraryProcess::word).collect(Collectors.joining(between));
  }

  /**
   * Why a tool cannot stand in the library.
   *
   * @param title of its class
   * @param process of its class
   * @return nothing where it can
   */
  public Optional<String> refusal(String title, Process process) {
    Set<LibraryProcess> uses = uses(process);
    return stated.isEmpty() || uses.stream().anyMatch(stated::contains)
        ? Optional.empty()
        : Optional.of(
            "the library is for %s, the class %s is for %s"
                .formatted(words(" and "), title, new LibraryProcesses(uses).words(" or ")));
  }

  private static Set<LibraryProcess> uses(Process process) {
    return switch (process) {
      case MILLING -> EnumSet.of(LibraryProcess.MILLING);
      case HOLE_MAKING, THREADING, PROBING -> WITH_HOLES;
      case TURNING -> EnumSet.of(LibraryProcess.TURNING);
      case ROUTING -> EnumSet.of(LibraryProcess.ROUTING);
      case JET -> EnumSet.of(LibraryProcess.JET);
    };
  }

  /**
   * Among which numbers a tool has its own: a number belongs to one tool of a process, and a mill
   * and a turning tool may share one. Tools that serve several processes count to the first that
   * the library states.
   */
  public LibraryProcess numbersWith(Process process) {
    Set<LibraryProcess> uses = uses(process);
    return uses.stream()
        .filter(stated::contains)
        .findFirst()
        .orElseGet(() -> uses.iterator().next());
  }
}
