package arborline.rig;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.ServerSocket;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.concurrent.TimeUnit;
import java.util.function.BooleanSupplier;

/** A process that runs beside the tests and ends with them. */
public final class Background implements AutoCloseable {

  private final Process process;
  private final Path log;

  private Background(Process process, Path log) {
    this.process = process;
    this.log = log;
    Runtime.getRuntime().addShutdownHook(new Thread(process::destroyForcibly));
  }

  /** Starts a command whose output goes to a file. */
  public static Background start(List<String> command, Map<String, String> environment, Path log) {
    try {
      Files.createDirectories(log.getParent());
      ProcessBuilder builder =
          new ProcessBuilder(command).redirectErrorStream(true).redirectOutput(log.toFile());
      builder.environment().putAll(environment);
      return new Background(builder.start(), log);
    } catch (IOException failed) {
      throw new UncheckedIOException(failed);
    }
  }

  /** Waits until something is so; fails with the end of the log where the process ended first. */
  public Background until(String what, BooleanSupplier so) {
    long end = System.nanoTime() + TimeUnit.MINUTES.toNanos(5);
    while (!so.getAsBoolean()) {
      if (!process.isAlive() || System.nanoTime() > end) {
        throw new IllegalStateException("not " + what + ":\n" + logEnd());
      }
      pause();
    }
    return this;
  }

  private static void pause() {
    try {
      TimeUnit.MILLISECONDS.sleep(50);
    } catch (InterruptedException interrupted) {
      Thread.currentThread().interrupt();
      throw new IllegalStateException(interrupted);
    }
  }

  private String logEnd() {
    try {
      List<String> lines = Files.readAllLines(log);
      return String.join("\n", lines.subList(Math.max(0, lines.size() - 40), lines.size()));
    } catch (IOException unreadable) {
      return unreadable.getMessage();
    }
  }

  /** Kills without warning, as a power cut would. */
  public void kill() {
    process.destroyForcibly();
    join();
  }

  @Override
  public void close() {
    process.destroy();
    join();
  }

  private void join() {
    try {
      if (!process.waitFor(20, TimeUnit.SECONDS)) {
        process.destroyForcibly().waitFor();
      }
    } catch (InterruptedException interrupted) {
      Thread.currentThread().interrupt();
    }
  }

  /** A port that is free now. */
  public static int freePort() {
    try (ServerSocket socket = new ServerSocket(0)) {
      return socket.getLocalPort();
    } catch (IOException failed) {
      throw new UncheckedIOException(failed);
    }
  }
}
