package arborline.core.vendor;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/** Collects what a manifest says from its names and texts, whatever it is written in. */
final class ManifestFields {

  /** A record deeper than that is not looked into. */
  static final int DEEPEST = 20;

  private static final int MOST_FILES = 50_000;
  private static final int LONGEST = 500;
  private static final List<String> VENDOR = List.of("vendor", "supplier", "manufacturer", "maker");
  private static final List<String> RELEASE = List.of("release", "edition", "issue", "version");
  private static final List<String> ID = List.of("id", "item", "code", "article", "product");
  private static final List<String> PICTURE = List.of("pic", "image", "photo");

  private String vendor = "";
  private String release = "";
  private final List<Manifest.Named> named = new ArrayList<>();
  private final List<String> pictures = new ArrayList<>();

  /** What stands together in a manifest: an object, or an element with what is directly in it. */
  final class Entry {
    private final String called;
    private final int depth;
    private String id = "";
    private String ownVendor = "";
    private String ownRelease = "";
    private final List<String> files = new ArrayList<>();

    private Entry(String called, int depth) {
      this.called = called;
      this.depth = depth;
    }

    /** A text under a name. */
    void text(String name, String value) {
      String plain = name.toLowerCase(Locale.ROOT);
      String text = value.strip();
      id = ID.contains(plain) && !text.isEmpty() ? text : id;
      if (path(text)) {
        files.add(text);
        if (picture(plain) || picture(called)) {
          pictures.add(text);
        }
      } else {
        ownVendor = ownVendor.isEmpty() && VENDOR.contains(plain) ? text : ownVendor;
        ownRelease = ownRelease.isEmpty() && RELEASE.contains(plain) ? text : ownRelease;
      }
    }

    /** Its end. */
    void close() {
      boolean about = depth == 0 || depth == 1 && id.isEmpty();
      vendor = about && vendor.isEmpty() ? ownVendor : vendor;
      release = about && release.isEmpty() ? ownRelease : release;
      files.forEach(file -> name(file, id));
    }
  }

  /**
   * The beginning of what stands together.
   *
   * @param called under which name
   * @param depth 0 for the whole
   */
  Entry open(String called, int depth) {
    return new Entry(called.toLowerCase(Locale.ROOT), depth);
  }

  /** A text in a list. */
  void listed(String called, String value) {
    String text = value.strip();
    if (path(text)) {
      name(text, "");
      if (picture(called.toLowerCase(Locale.ROOT))) {
        pictures.add(text);
      }
    }
  }

  private void name(String file, String id) {
    if (named.size() < MOST_FILES) {
      named.add(new Manifest.Named(file.replace('\\', '/').replaceFirst("^\\./", ""), id));
    }
  }

  Optional<Manifest> manifest(String file) {
    return vendor.isEmpty() && release.isEmpty()
        ? Optional.empty()
        : Optional.of(new Manifest(file, vendor, release, named, pictures));
  }

  private static boolean picture(String name) {
    return PICTURE.stream().anyMatch(name::startsWith);
  }

  /** True for what looks like the name of a file. */
  private static boolean path(String text) {
    return text.length() < LONGEST
        && text.matches("[^\\n\"<>|]*[^\\s./]\\.[A-Za-z][A-Za-z0-9]{0,4}");
  }
}
