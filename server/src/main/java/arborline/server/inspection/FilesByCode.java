package arborline.server.inspection;

import arborline.core.exchange.PathList;
import arborline.core.finding.Finding;
import arborline.core.library.Codes;
import arborline.server.delivery.AttachedFiles;
import arborline.server.delivery.AttachedFiles.AttachedFile;
import arborline.server.delivery.DeliveryLine;
import arborline.server.delivery.LineRepository;
import arborline.server.delivery.VendorPackages;
import arborline.server.support.Json;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.springframework.data.domain.Limit;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * Joins pictures and documents that no line names to the line whose code they are called by: {@code
 * photos/EM-10.png} belongs to EM-10.
 */
@Component
class FilesByCode {

  /** Of so many lines with one code the first is looked for. */
  private static final int MOST = 20;

  private final AttachedFiles files;
  private final LineRepository lines;
  private final LineJudge judge;
  private final VendorPackages packages;
  private final Json json;
  private final TransactionTemplate transaction;

  FilesByCode(
      AttachedFiles files,
      LineRepository lines,
      LineJudge judge,
      VendorPackages packages,
      Json json,
      TransactionTemplate transaction) {
    this.files = files;
    this.lines = lines;
    this.judge = judge;
    this.packages = packages;
    this.json = json;
    this.transaction = transaction;
  }

  void join(long deliveryId) {
    Map<String, List<String>> paths = new LinkedHashMap<>();
    for (AttachedFile file : files.unnamed(deliveryId)) {
      if (PathList.read(file.path()).equals(List.of(file.path()))) {
        paths.computeIfAbsent(key(file), code -> new ArrayList<>()).add(file.path());
      }
    }
    boolean named =
        packages.of(deliveryId).filter(known -> !known.manifest().isEmpty()).isPresent();
    transaction.executeWithoutResult(status -> {
      List<DeliveryLine> joined = new ArrayList<>();
      paths.forEach((code, own) ->
          first(deliveryId, code)
              .ifPresent(line -> {
                line.name(own);
                if (!named) {
                  say(line, own);
                }
                joined.add(line);
              }));
      if (!joined.isEmpty()) {
        judge.judge(deliveryId, joined);
      }
    });
  }

  /** The code that a file is called by. */
  private static String key(AttachedFile file) {
    String name = PathList.name(file.name());
    int dot = name.lastIndexOf('.');
    return Codes.key(dot < 0 ? name : name.substring(0, dot));
  }

  private Optional<DeliveryLine> first(long deliveryId, String code) {
    return code.isEmpty()
        ? Optional.empty()
        : lines.sharing(deliveryId, Set.of(code), Limit.of(MOST)).stream()
            .filter(line -> line.kind.standsAlone())
            .findFirst();
  }

  private void say(DeliveryLine line, List<String> paths) {
    List<Finding> findings = new ArrayList<>();
    if (line.readingFindings != null) {
      findings.addAll(List.of(json.read(line.readingFindings, Finding[].class)));
    }
    findings.add(
        Finding.note(
            "attachment-by-name",
            "%s comes with it: called by its code".formatted(String.join(", ", paths)),
            "ATTACHMENT"));
    line.readingFindings = json.text(findings);
  }
}
