package arborline.rig;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;

/**
 * The packaged server, unpacked, with a record of the classes that it loads, so that each further
 * start takes a third of the time. Made anew where the packaged server is newer.
 */
final class FastStart {

  private static final String RECORD = "app.aot";

  private FastStart() {}

  /** What starts the server; the first one to ask waits until it was recorded. */
  static synchronized List<String> command(
      Path packaged, String java, List<String> options, Map<String, String> environment) {
    Path folder = packaged.resolveSibling("fast-start");
    Path jar = folder.resolve(packaged.getFileName());
    try {
      if (!newer(folder.resolve(RECORD), packaged)) {
        Files.createDirectories(folder);
        Files.deleteIfExists(folder.resolve(RECORD));
        run(
            List.of(
                java,
                "-Djarmode=tools",
                "-jar",
                packaged.toString(),
                "extract",
                "--force",
                "--destination",
                folder.toString()),
            folder,
            Map.of());
        List<String> recording = new ArrayList<>(List.of(java));
        recording.addAll(options);
        recording.addAll(
            List.of(
                "-XX:AOTCacheOutput=" + folder.resolve(RECORD),
                "-Dspring.context.exit=onRefresh",
                "-jar",
                jar.toString()));
        run(recording, folder, environment);
      }
    } catch (IOException broken) {
      throw new UncheckedIOException(broken);
    }
    List<String> command = new ArrayList<>(List.of(java));
    command.addAll(options);
    if (Files.exists(folder.resolve(RECORD))) {
      command.add("-XX:AOTCache=" + folder.resolve(RECORD));
    }
    command.addAll(List.of("-jar", jar.toString()));
    return command;
  }

  private static boolean newer(Path record, Path packaged) throws IOException {
    return Files.exists(record)
        && Files.getLastModifiedTime(record).compareTo(Files.getLastModifiedTime(packaged)) > 0;
  }

  private static void run(List<String> command, Path folder, Map<String, String> environment)
      throws IOException {
    ProcessBuilder builder = new ProcessBuilder(command).directory(folder.toFile());
    builder.environment().putAll(environment);
    builder.redirectErrorStream(true);
    builder.redirectOutput(folder.resolve("log").toFile());
    try {
      int code = builder.start().waitFor();
      if (code != 0) {
        throw new IllegalStateException(
            "the server could not be prepared; see " + folder.resolve("log"));
      }
    } catch (InterruptedException interrupted) {
      Thread.currentThread().interrupt();
      throw new IllegalStateException(interrupted);
    }
  }
}
