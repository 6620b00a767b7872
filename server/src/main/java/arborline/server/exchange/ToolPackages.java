package arborline.server.exchange;

import arborline.core.exchange.BundleFormat;
import arborline.core.quantity.Unit;
import arborline.server.exchange.AttachmentsOfTools.Attached;
import arborline.server.exchange.SolidsOfTools.ToolSolids;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.SortedMap;
import java.util.TreeMap;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import org.springframework.stereotype.Component;

/**
 * A tool as a package: its properties with its parts, stacks and cutting data in an ISO 10303-21
 * file, and beside it the solids of the tool, of its parts and of its stacks.
 */
@Component
class ToolPackages {

  /** Where the solids stand in a package. */
  private static final String FOLDER = "models/";

  private final Exports exports;
  private final SolidsOfTools solids;
  private final AttachmentsOfTools attachments;

  ToolPackages(Exports exports, SolidsOfTools solids, AttachmentsOfTools attachments) {
    this.exports = exports;
    this.solids = solids;
    this.attachments = attachments;
  }

  /**
   * A package on disk.
   *
   * @param written its properties, read back and compared
   */
  record ToolPackage(Exports.Written written, SortedMap<String, String> models) {}

  /** Writes the properties of a tool into a file, and makes its solids. */
  ToolPackage write(long toolId, Optional<Unit> unit, Path file) throws IOException {
    BundleFormat format = Formats.named("p21");
    ToolSolids known = solids.of(toolId);
    SortedMap<String, String> models = new TreeMap<>();
    known.own().forEach((name, text) -> models.put(FOLDER + name, text));
    known.parts().values().forEach(solid -> models.put(FOLDER + solid.name(), solid.text()));
    List<String> own = known.own().keySet().stream().map(name -> FOLDER + name).toList();
    Map<String, List<String>> ofParts = new TreeMap<>();
    known.parts().forEach((code, solid) -> ofParts.put(code, List.of(FOLDER + solid.name())));
    return new ToolPackage(
        exports.toolWithModels(toolId, format, unit, file, own, ofParts), models);
  }

  /** Writes a package as a ZIP. */
  void pack(ToolPackage made, Path file, OutputStream target) throws IOException {
    try (ZipOutputStream zip = new ZipOutputStream(target, StandardCharsets.UTF_8)) {
      zip.putNextEntry(new ZipEntry(PackedFiles.fileName(made.written().title(), "p21")));
      Files.copy(file, zip);
      zip.closeEntry();
      for (Map.Entry<String, String> model : made.models().entrySet()) {
        zip.putNextEntry(new ZipEntry(model.getKey()));
        zip.write(model.getValue().getBytes(StandardCharsets.US_ASCII));
        zip.closeEntry();
      }
      for (Attached one : made.written().attached()) {
        zip.putNextEntry(new ZipEntry(one.path()));
        attachments.copy(one, zip);
        zip.closeEntry();
      }
    }
  }
}
