package arborline.server.setup;

import arborline.core.exchange.BundleFormats;
import arborline.core.exchange.Grouping;
import arborline.core.exchange.TableReading;
import arborline.core.inspect.Inspected;
import arborline.core.inspect.Inspector;
import arborline.core.library.Numbering;
import arborline.core.library.Standing;
import arborline.core.sharing.LibraryRight;
import arborline.core.sharing.LibraryRights;
import arborline.core.sharing.Sharing;
import arborline.server.account.Accounts;
import arborline.server.edition.Editions;
import arborline.server.inspection.Belongings;
import arborline.server.library.AcceptedTools;
import arborline.server.library.Libraries;
import arborline.server.library.LibraryChange;
import arborline.server.library.LibrarySharing;
import arborline.server.tool.StandingMoves;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalLong;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.json.JsonMapper;

/**
 * Fills libraries from tables: one library a file, called as the file is. What they are for and
 * their sections stand in a file beside them.
 */
@Component
class DemoLibraries {

  private static final long NO_DELIVERY = 0;

  private final Libraries libraries;
  private final AcceptedTools intake;
  private final List<Belongings> belongings;
  private final StandingMoves standings;
  private final JsonMapper json;
  private final Accounts accounts;
  private final LibrarySharing sharing;
  private final Editions editions;

  DemoLibraries(
      Libraries libraries,
      AcceptedTools intake,
      List<Belongings> belongings,
      StandingMoves standings,
      JsonMapper json,
      Accounts accounts,
      LibrarySharing sharing,
      Editions editions) {
    this.editions = editions;
    this.sharing = sharing;
    this.accounts = accounts;
    this.libraries = libraries;
    this.intake = intake;
    this.belongings = belongings;
    this.standings = standings;
    this.json = json;
  }

  /**
   * What is said of a library.
   *
   * @param sections beginnings of the codes of the tools in each, by its path
   * @param standings beginnings of the codes of the tools with each; the longest counts
   * @param sharing with whom it is shared; null for the shop
   * @param published why an edition of it was made; null where none was
   * @param people names of accounts with what each may do in it
   */
  private record About(
      LibraryChange settings,
      Map<String, List<String>> sections,
      @Nullable Map<Standing, List<String>> standings,
      @Nullable Sharing sharing,
      @Nullable String published,
      @Nullable Map<String, LibraryRight> people) {

    static final About NOTHING =
        new About(
            new LibraryChange(null, null, null, null, null, null, null),
            Map.of(),
            Map.of(),
            null,
            null,
            null);

    /** The sections of a tool, as one text. */
    String section(String code) {
      return sections.entrySet().stream()
          .filter(section -> section.getValue().stream().anyMatch(code::startsWith))
          .map(Map.Entry::getKey)
          .collect(Collectors.joining("; "));
    }

    /** How far a tool is trusted; nothing where that is not said. */
    Optional<Standing> standing(String code) {
      Optional<Standing> found = Optional.empty();
      int longest = -1;
      for (Map.Entry<Standing, List<String>> one :
          Optional.ofNullable(standings).orElse(Map.of()).entrySet()) {
        for (String beginning : one.getValue()) {
          if (code.startsWith(beginning) && beginning.length() > longest) {
            longest = beginning.length();
            found = Optional.of(one.getKey());
          }
        }
      }
      return found;
    }
  }

  @Transactional
  public void fill(Path folder) throws IOException {
    Map<String, About> about = about(folder.resolveSibling("libraries.json"));
    try (Stream<Path> files = Files.list(folder)) {
      for (Path file : files.filter(path -> path.toString().endsWith(".csv")).sorted().toList()) {
        About said = about.getOrDefault(name(file), About.NOTHING);
        List<Inspected> read = read(file);
        long library = open(name(file), said);
        List<Long> tools =
            intake
                .into(library, "", "demo file " + file.getFileName(), Numbering.KEEP)
                .take(arriving(read, said));
        for (int i = 0; i < read.size(); i++) {
          for (Belongings belonging : belongings) {
            belonging.take(tools.get(i), NO_DELIVERY, read.get(i));
          }
        }
        trust(tools, read, said);
        share(library, said);
        if (said.published() != null) {
          editions.make(library, said.published());
        }
      }
    }
  }

  private void share(long library, About said) {
    if (said.sharing() != null) {
      Map<Long, LibraryRight> people = new HashMap<>();
      accounts
          .all()
          .forEach(account ->
              Optional.ofNullable(said.people())
                  .map(all -> all.get(account.name()))
                  .ifPresent(right -> people.put(account.id(), right)));
      sharing.share(library, new LibraryRights(said.sharing(), people, Map.of()));
    }
  }

  private void trust(List<Long> tools, List<Inspected> read, About said) {
    Map<Standing, List<Long>> trusted = new EnumMap<>(Standing.class);
    for (int i = 0; i < read.size(); i++) {
      long tool = tools.get(i);
      said.standing(read.get(i).tool().code())
          .ifPresent(one -> trusted.computeIfAbsent(one, all -> new ArrayList<>()).add(tool));
    }
    trusted.forEach((standing, some) -> standings.move(some, standing));
  }

  private Map<String, About> about(Path file) throws IOException {
    return Files.exists(file)
        ? json.readValue(Files.readAllBytes(file), new TypeReference<Map<String, About>>() {})
        : Map.of();
  }

  private long open(String name, About about) {
    LibraryChange said = about.settings();
    return libraries
        .open(
            new LibraryChange(
                name, said.purpose(), said.processes(), said.labels(), said.ranges(), null, null))
        .library()
        .id();
  }

  /** {@code marram-milling.csv} is "Marram milling". */
  private static String name(Path file) {
    String words = file.getFileName().toString().replace(".csv", "").replace('-', ' ');
    return Character.toUpperCase(words.charAt(0)) + words.substring(1);
  }

  /** The tools of a file, each with the cutting data and the stacks that stand behind it. */
  private static List<Inspected> read(Path file) throws IOException {
    byte[] content = Files.readAllBytes(file);
    try (Grouping source =
        new Grouping(
            BundleFormats.named("csv")
                .orElseThrow()
                .open(new ByteArrayInputStream(content), content, TableReading.propose(content)))) {
      return source.all().stream().map(Inspector::inspect).toList();
    }
  }

  private static List<AcceptedTools.Arriving> arriving(List<Inspected> read, About about) {
    List<AcceptedTools.Arriving> arriving = new ArrayList<>();
    for (Inspected inspected : read) {
      arriving.add(
          new AcceptedTools.Arriving(
              inspected.tool(),
              inspected.number(),
              arriving.size() + 1,
              OptionalLong.empty(),
              about.section(inspected.tool().code())));
    }
    return arriving;
  }
}
