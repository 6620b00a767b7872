package arborline.server.exchange;

import java.io.IOException;
import java.io.OutputStream;
import java.util.Collection;
import java.util.List;
import java.util.Map;

/** The attachments of tools and parts, for whoever writes a file. */
public interface AttachmentsOfTools {

  /**
   * An attachment.
   *
   * @param sha256 of its content
   */
  record Attached(String name, String sha256) {

    private static final int SHORT = 12;

    /** Where it stands beside a file that names it. */
    public String path() {
      return "attachments/%s/%s".formatted(sha256.substring(0, SHORT), name);
    }
  }

  /** By tool id, in the order of their names; tools without any are left out. */
  Map<Long, List<Attached>> of(Collection<Long> toolIds);

  /** The same of parts, by component id. */
  Map<Long, List<Attached>> ofParts(Collection<Long> componentIds);

  /**
   * Has the files of tools belong to their copies as well; a copy that has some stays as it is.
   *
   * @param copies by the tool that each is a copy of
   */
  void copyAll(Map<Long, Long> copies);

  /** Writes the content of one. */
  void copy(Attached attached, OutputStream target) throws IOException;
}
