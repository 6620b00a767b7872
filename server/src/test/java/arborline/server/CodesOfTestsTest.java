package arborline.server;

import static org.junit.jupiter.api.Assertions.assertEquals;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.regex.MatchResult;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/** All tests share one shop, in which a code is given once: none is used by two of them. */
class CodesOfTestsTest {

  private static final Pattern CODE = Pattern.compile("\"[A-Z]{2,5}-\\d+\"");

  private static Set<String> codes(Path test) {
    try {
      return CODE.matcher(Files.readString(test))
          .results()
          .map(MatchResult::group)
          .collect(Collectors.toSet());
    } catch (IOException gone) {
      throw new UncheckedIOException(gone);
    }
  }

  @Test
  void noTwoTestsUseOneCode() throws IOException {
    Map<String, Set<String>> users = new TreeMap<>();
    try (Stream<Path> tests = Files.walk(Path.of("src/test/java"))) {
      List<Path> files = tests.filter(file -> file.toString().endsWith("Test.java")).toList();
      files.forEach(file ->
          codes(file)
              .forEach(code ->
                  users
                      .computeIfAbsent(code, any -> new TreeSet<>())
                      .add(file.getFileName().toString())));
    }
    users.values().removeIf(files -> files.size() == 1);
    assertEquals(Map.of(), users);
  }
}
