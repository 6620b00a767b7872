package arborline.server.delivery;

import arborline.server.account.MayReceive;
import arborline.server.recipe.Recipes;
import arborline.server.support.FileKind;
import arborline.server.support.Json;
import arborline.server.support.Refusal;
import arborline.server.support.Slice;
import arborline.server.trail.Undoable;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.io.InputStream;
import java.math.BigDecimal;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.multipart.MultipartFile;

@RestController
@RequestMapping("/api/v1/deliveries")
class DeliveryController {

  private static final int MOST = 500;
  private static final int MOST_FILES = 100;

  private final Deliveries deliveries;
  private final LineLists lists;
  private final FindingGroups groups;
  private final Counts counts;
  private final Readings readings;
  private final ReadingPreview preview;
  private final Recipes recipes;
  private final Json json;
  private final StoredFile stored;
  private final VendorPackages packages;

  DeliveryController(
      Deliveries deliveries,
      LineLists lists,
      FindingGroups groups,
      Counts counts,
      Readings readings,
      ReadingPreview preview,
      Recipes recipes,
      Json json,
      StoredFile stored,
      VendorPackages packages) {
    this.packages = packages;
    this.stored = stored;
    this.deliveries = deliveries;
    this.lists = lists;
    this.groups = groups;
    this.counts = counts;
    this.readings = readings;
    this.preview = preview;
    this.recipes = recipes;
    this.json = json;
  }

  record Brought(long id) {}

  /**
   * A delivery with its counts; read = pass + query + hold + skipped.
   *
   * @param format of its first file
   * @param others lines that may enter now and are no tools: parts, stacks, cutting data
   * @param asked lines that wait for being held against their models
   * @param left lines that were not, because somebody stopped it
   * @param vendor from whom it comes; null in lists of deliveries, and where it comes from none
   * @param share of its files that was read, from 0 to 1
   * @param library into which its tools are meant to go; null for none
   * @param reading how its first file is read; null where that is no table
   * @param files all of them; empty in lists of deliveries
   * @param state {@code waiting}, {@code reading}, {@code ready}, {@code stopped} or {@code failed}
   */
  record DeliveryView(
      long id,
      String name,
      String format,
      long size,
      String state,
      String note,
      Instant at,
      String by,
      long read,
      long pass,
      long query,
      long hold,
      long skipped,
      long taken,
      long others,
      long asked,
      long left,
      @Nullable String vendor,
      double share,
      @Nullable Long library,
      @Nullable ReadingView reading,
      List<FileView> files) {}

  /**
   * A file of a delivery.
   *
   * @param file its number in the delivery, from 0
   * @param path where it stood in its ZIP; its name where it came by itself
   * @param reading how it is read; null where it is no table
   */
  record FileView(
      int file, String name, String path, String format, @Nullable ReadingView reading) {}

  @PostMapping(consumes = MediaType.MULTIPART_FORM_DATA_VALUE)
  @MayReceive
  @ResponseStatus(HttpStatus.ACCEPTED)
  Brought bring(
      @RequestParam("files") List<MultipartFile> files,
      @RequestParam(required = false) @Nullable String recipe,
      @RequestParam(required = false) @Nullable Long library)
      throws IOException {
    if (files.size() > MOST_FILES) {
      throw Refusal.badRequest("a delivery has at most %d files".formatted(MOST_FILES));
    }
    try (ArrivingFiles arriving = new ArrivingFiles()) {
      for (MultipartFile file : files) {
        try (InputStream content = file.getInputStream()) {
          arriving.add(Optional.ofNullable(file.getOriginalFilename()).orElse("unnamed"), content);
        }
      }
      return new Brought(deliveries.bring(arriving, recipe, library));
    }
  }

  @GetMapping
  Slice<DeliveryView> all() {
    return Slice.all(deliveries.newest().stream().map(delivery -> view(delivery, false)).toList());
  }

  @GetMapping("/{id}")
  DeliveryView one(@PathVariable long id) {
    return view(deliveries.get(id), true);
  }

  private DeliveryView view(Delivery delivery, boolean whole) {
    Counts.LineCounts lines = counts.of(delivery.id);
    List<FileView> files = deliveries.documents(delivery.id).stream().map(this::file).toList();
    FileView first = files.getFirst();
    return new DeliveryView(
        delivery.id,
        delivery.name,
        first.format(),
        delivery.size,
        delivery.state.name().toLowerCase(Locale.ROOT),
        delivery.note,
        delivery.createdAt,
        delivery.createdBy,
        lines.read(),
        lines.pass(),
        lines.query(),
        lines.hold(),
        lines.skipped(),
        lines.taken(),
        lines.others(),
        lines.asked(),
        lines.left(),
        whole
            ? packages.of(delivery.id).map(VendorPackages.VendorPackage::vendor).orElse(null)
            : null,
        delivery.size == 0 ? 1 : Math.min(1, (double) delivery.bytesRead / delivery.size),
        delivery.libraryId,
        whole ? first.reading() : null,
        whole ? files : List.of());
  }

  private FileView file(Document document) {
    return new FileView(
        document.fileNo,
        document.name,
        document.path,
        document.format,
        Readings.table(document.format) ? json.read(document.reading, ReadingView.class) : null);
  }

  /** Pictures that a page may show; everything else is saved. */
  private static final Set<String> SHOWN =
      Set.of("image/png", "image/jpeg", "image/gif", "image/webp");

  /** A file of a delivery as it came: a picture to be seen, anything else to be saved. */
  @GetMapping("/{id}/files/{file}/content")
  void content(@PathVariable long id, @PathVariable int file, HttpServletResponse response)
      throws IOException {
    Document document = deliveries.document(id, file);
    String media = FileKind.mediaType(document.name);
    boolean shown = SHOWN.contains(media);
    response.setContentType(shown ? media : "application/octet-stream");
    response.setContentLengthLong(document.size);
    response.setHeader(
        HttpHeaders.CONTENT_DISPOSITION,
        (shown ? ContentDisposition.inline() : ContentDisposition.attachment())
            .filename(document.name, StandardCharsets.UTF_8)
            .build()
            .toString());
    try (InputStream content = stored.open(id, file)) {
      content.transferTo(response.getOutputStream());
    }
  }

  @GetMapping("/{id}/lines")
  Slice<LineLists.LineView> lines(
      @PathVariable long id,
      @RequestParam(required = false) @Nullable String severity,
      @RequestParam(required = false) @Nullable String finding,
      @RequestParam(required = false) @Nullable String disposition,
      @RequestParam(required = false) @Nullable String kind,
      @RequestParam(name = "class", required = false) @Nullable String classId,
      @RequestParam(required = false) @Nullable String text,
      @RequestParam(required = false) @Nullable BigDecimal dcFrom,
      @RequestParam(required = false) @Nullable BigDecimal dcTo,
      @RequestParam(required = false) @Nullable String by,
      @RequestParam(required = false) @Nullable String group,
      @RequestParam(required = false) @Nullable Boolean inspected,
      @RequestParam(defaultValue = "position") String sort,
      @RequestParam(required = false) @Nullable Long after,
      @RequestParam(defaultValue = "100") int limit) {
    deliveries.get(id);
    return lists.lines(
        id,
        new LineLists.Asked(
            severity,
            finding,
            disposition,
            kind,
            classId,
            text,
            dcFrom,
            dcTo,
            by,
            group,
            inspected),
        sort,
        after,
        Math.clamp(limit, 1, MOST));
  }

  /** What the lines have in common: their classes, first words of their names and so on. */
  @GetMapping("/{id}/lines/groups")
  Slice<LineLists.LineGroup> lineGroups(
      @PathVariable long id,
      @RequestParam String by,
      @RequestParam(required = false) @Nullable String disposition,
      @RequestParam(required = false) @Nullable String text) {
    deliveries.get(id);
    return Slice.all(
        lists.groups(
            id,
            new LineLists.Asked(
                null, null, disposition, null, null, text, null, null, null, null, null),
            by));
  }

  @GetMapping("/{id}/findings")
  Slice<FindingGroups.FindingGroup> findings(@PathVariable long id) {
    deliveries.get(id);
    return Slice.all(groups.of(id));
  }

  @PutMapping("/{id}/reading")
  @MayReceive
  @ResponseStatus(HttpStatus.ACCEPTED)
  void readAgain(
      @PathVariable long id,
      @RequestParam(defaultValue = "0") int file,
      @RequestBody ReadingChoice choice) {
    deliveries.readAgain(id, file, choice);
  }

  /** The first tools as they would be read; nothing is changed. */
  @PostMapping("/{id}/preview")
  @MayReceive
  ReadingPreview.Preview preview(
      @PathVariable long id,
      @RequestParam(defaultValue = "0") int file,
      @RequestBody ReadingChoice choice) {
    Document document = deliveries.document(id, file);
    Readings.requireTable(document);
    return preview.of(document, readings.decided(document, choice));
  }

  /** A name for a recipe. */
  record RecipeName(@Nullable String name) {}

  record RecipeSaved(long id, String name, int number) {}

  /** Saves how a file is read as a recipe. */
  @PostMapping("/{id}/recipe")
  @MayReceive
  @ResponseStatus(HttpStatus.CREATED)
  RecipeSaved save(
      @PathVariable long id,
      @RequestParam(defaultValue = "0") int file,
      @RequestBody RecipeName called) {
    Document document = deliveries.document(id, file);
    Readings.requireTable(document);
    Recipes.Kept kept =
        recipes.save(called.name(), json.read(document.reading, ReadingView.class).reading());
    return new RecipeSaved(kept.id(), kept.recipe().name(), kept.recipe().number());
  }

  /**
   * Lines to be held against their models.
   *
   * @param lines null for all that were not
   */
  record InspectOrder(@Nullable List<Long> lines) {}

  /** Has lines held against the models that they name, in the background. */
  @PostMapping("/{id}/inspect")
  @MayReceive
  @ResponseStatus(HttpStatus.ACCEPTED)
  void inspect(@PathVariable long id, @RequestBody InspectOrder order) {
    if (order.lines() != null && order.lines().contains(null)) {
      throw Refusal.badRequest("lines are numbers");
    }
    deliveries.inspect(id, order.lines());
  }

  @PostMapping("/{id}/stop")
  @MayReceive
  @ResponseStatus(HttpStatus.ACCEPTED)
  void stop(@PathVariable long id) {
    deliveries.stop(id);
  }

  @DeleteMapping("/{id}")
  @MayReceive
  Undoable putAway(@PathVariable long id) {
    return new Undoable(deliveries.putAway(id));
  }
}
