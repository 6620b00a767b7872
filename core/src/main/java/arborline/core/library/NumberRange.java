package arborline.core.library;

import arborline.core.tool.Process;
import java.util.Locale;

/**
 * Numbers that a library keeps for tools of a class or of a process.
 *
 * @param of id of a class, or the word of a process: {@code hole-making}
 * @param first from 1
 * @param last not below the first
 */
public record NumberRange(String of, int first, int last) {

  /** The largest number that a tool can have. */
  public static final int LARGEST = 99_999_999;

  /** How a process is written here. */
  public static String word(Process process) {
    return process.name().toLowerCase(Locale.ROOT).replace('_', '-');
  }

  public boolean has(int number) {
    return number >= first && number <= last;
  }
}
