package arborline.core.post;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;

/** Defaults of a post, single ones replaced by a machine, and single ones again by a person. */
public final class DefaultLayers {

  private DefaultLayers() {}

  /** Where a default comes from. */
  public enum Source {
    POST,
    MACHINE,
    PERSON
  }

  /**
   * A default that counts.
   *
   * @param replaced what it replaces, the nearest first
   */
  public record Effective(String key, String value, Source source, List<Replaced> replaced) {}

  /** A default that was replaced. */
  public record Replaced(String value, Source source) {}

  /** What counts, by key in the order of the known keys. */
  public static List<Effective> of(
      Map<String, String> post, Map<String, String> machine, Map<String, String> person) {
    List<Effective> effective = new ArrayList<>();
    for (DefaultKey known : DefaultKey.values()) {
      List<Replaced> said = new ArrayList<>();
      add(said, person.get(known.key()), Source.PERSON);
      add(said, machine.get(known.key()), Source.MACHINE);
      add(said, post.get(known.key()), Source.POST);
      if (!said.isEmpty()) {
        Replaced counts = said.removeFirst();
        effective.add(
            new Effective(known.key(), counts.value(), counts.source(), List.copyOf(said)));
      }
    }
    return effective;
  }

  private static void add(List<Replaced> said, String value, Source source) {
    if (value != null) {
      said.add(new Replaced(value, source));
    }
  }
}
