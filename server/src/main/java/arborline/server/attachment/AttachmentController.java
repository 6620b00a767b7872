package arborline.server.attachment;

import arborline.server.account.MayEdit;
import arborline.server.support.Slice;
import arborline.server.trail.Undoable;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.Objects;
import java.util.Set;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.multipart.MultipartFile;

@RestController
@RequestMapping("/api/v1/{owner:tools|components}/{ownerId}/attachments")
class AttachmentController {

  /** Pictures that a browser shows without running anything that is in them. */
  private static final Set<String> SHOWN =
      Set.of("image/png", "image/jpeg", "image/gif", "image/webp");

  private final Attachments attachments;

  AttachmentController(Attachments attachments) {
    this.attachments = attachments;
  }

  /**
   * A file that belongs to a tool or a part.
   *
   * @param size in bytes
   * @param picture true where a browser can show it
   */
  record AttachmentView(
      long id,
      String name,
      String mediaType,
      boolean picture,
      long size,
      String sha256,
      Instant at,
      String by) {

    static AttachmentView of(Attachments.Attachment attachment) {
      return new AttachmentView(
          attachment.id(),
          attachment.name(),
          attachment.mediaType(),
          SHOWN.contains(attachment.mediaType()),
          attachment.size(),
          attachment.sha256(),
          attachment.createdAt().toInstant(ZoneOffset.UTC),
          attachment.createdBy());
    }
  }

  @GetMapping
  Slice<AttachmentView> all(@PathVariable String owner, @PathVariable long ownerId) {
    return Slice.all(
        attachments.all(AttachmentOwner.at(owner, ownerId)).stream()
            .map(AttachmentView::of)
            .toList());
  }

  /** Attaches a file. */
  @PostMapping(consumes = MediaType.MULTIPART_FORM_DATA_VALUE)
  @MayEdit
  @ResponseStatus(HttpStatus.CREATED)
  AttachmentView add(
      @PathVariable String owner,
      @PathVariable long ownerId,
      @RequestParam("file") MultipartFile file)
      throws IOException {
    Path copy = Files.createTempFile("attachment", "");
    try {
      file.transferTo(copy);
      String name = Objects.requireNonNullElse(file.getOriginalFilename(), "");
      return AttachmentView.of(attachments.add(AttachmentOwner.at(owner, ownerId), name, copy));
    } finally {
      Files.deleteIfExists(copy);
    }
  }

  /** Removes an attachment. */
  @DeleteMapping("/{id}")
  @MayEdit
  Undoable remove(@PathVariable String owner, @PathVariable long ownerId, @PathVariable long id) {
    return new Undoable(attachments.remove(AttachmentOwner.at(owner, ownerId), id));
  }

  /** Answers the file: a picture to be shown, everything else to be saved. */
  @GetMapping("/{id}/content")
  void content(
      @PathVariable String owner,
      @PathVariable long ownerId,
      @PathVariable long id,
      HttpServletResponse response)
      throws IOException {
    Attachments.Attachment file = attachments.get(AttachmentOwner.at(owner, ownerId), id);
    boolean shown = SHOWN.contains(file.mediaType());
    response.setContentType(shown ? file.mediaType() : "application/octet-stream");
    response.setContentLengthLong(file.size());
    response.setHeader(
        HttpHeaders.CONTENT_DISPOSITION,
        (shown ? ContentDisposition.inline() : ContentDisposition.attachment())
            .filename(file.name(), StandardCharsets.UTF_8)
            .build()
            .toString());
    attachments.copy(file.attached(), response.getOutputStream());
  }
}
