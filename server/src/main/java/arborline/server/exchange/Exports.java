package arborline.server.exchange;

import arborline.core.exchange.LossReport;
import arborline.core.exchange.BundleFormat;
import arborline.core.exchange.BundleSink;
import arborline.core.exchange.WriteOptions;
import arborline.core.property.Dictionary;
import arborline.core.property.Property;
import arborline.core.quantity.Unit;
import arborline.server.library.LibraryContents;
import java.io.IOException;
import java.io.OutputStream;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Writes libraries as files, a thousand tools at a time. */
@Service
@Transactional(readOnly = true)
class Exports {

  private final LibraryContents contents;
  private final List<Attachment> attachments;

  Exports(LibraryContents contents, List<Attachment> attachments) {
    this.contents = contents;
    this.attachments = attachments;
  }

  public String name(long libraryId) {
    return contents.name(libraryId);
  }

  public void write(long libraryId, BundleFormat format, Optional<Unit> unit, OutputStream file)
      throws IOException {
    try (BundleSink sink = format.create(file, options(libraryId, unit))) {
      contents.visit(libraryId, (toolId, tool) -> sink.write(tool));
    }
  }

  public LossReport losses(long libraryId, BundleFormat format, Optional<Unit> unit)
      throws IOException {
    LossReport report = new LossReport();
    WriteOptions options = options(libraryId, unit);
    Map<Long, String> codes = new LinkedHashMap<>();
    contents.visit(
        libraryId,
        (toolId, tool) -> {
          format.losses(tool, options, report);
          codes.put(toolId, tool.tool().code());
        });
    for (Attachment attachment : attachments) {
      attachment
          .counts(codes.keySet())
          .forEach((tool, count) ->
              report.add(codes.get(tool), attachment.title(), "%d not carried".formatted(count)));
    }
    return report;
  }

  private WriteOptions options(long libraryId, Optional<Unit> unit) throws IOException {
    Set<String> used = new HashSet<>();
    contents.visit(libraryId, (toolId, tool) -> used.addAll(tool.tool().values().keySet()));
    List<String> symbols =
        Dictionary.standard().all().stream().map(Property::symbol).filter(used::contains).toList();
    return new WriteOptions(name(libraryId), symbols, unit);
  }
}
