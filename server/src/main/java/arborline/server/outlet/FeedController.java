package arborline.server.outlet;

import arborline.server.account.LinkUses;
import arborline.server.account.Secrets;
import arborline.server.exchange.Formats;
import arborline.server.exchange.PackedFiles;
import arborline.server.support.Refusal;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.io.OutputStream;
import java.util.Optional;
import org.springframework.http.CacheControl;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.context.request.ServletWebRequest;

/** Addresses from which programs read an outlet: whoever has the address may, nobody signs in. */
@RestController
@RequestMapping("/api/v1/feeds")
class FeedController {

  private final OutletStore store;
  private final LinkUses uses;

  FeedController(OutletStore store, LinkUses uses) {
    this.store = store;
    this.uses = uses;
  }

  /**
   * The file of an outlet; {@code 304} where {@code If-None-Match} names the one that stands.
   *
   * @param key of the outlet
   * @param name of the file, which only helps programs that go by names
   */
  @GetMapping("/{key}/{name}")
  void file(
      @PathVariable String key,
      @PathVariable String name,
      HttpServletRequest request,
      HttpServletResponse response)
      throws IOException {
    uses.used(request.getRemoteAddr());
    Outlet outlet =
        store
            .ofKey(Secrets.hash(key))
            .filter(one -> one.name().equals(name))
            .orElseThrow(() -> Refusal.notFound("there is nothing at this address"));
    if (outlet.writtenEditionId() == null) {
      throw Refusal.notFound("nothing was written yet; ask again in a minute");
    }
    response.setHeader(
        HttpHeaders.CACHE_CONTROL, CacheControl.noCache().cachePrivate().getHeaderValue());
    if (new ServletWebRequest(request, response)
        .checkNotModified("\"" + outlet.sha256() + "\"", outlet.writtenAt().toEpochMilli())) {
      return;
    }
    response.setContentType(PackedFiles.mediaType(name, Formats.named(outlet.format())));
    response.setContentLengthLong(outlet.size());
    response.setHeader(
        HttpHeaders.CONTENT_DISPOSITION,
        ContentDisposition.attachment().filename(name).build().toString());
    if (!request.getMethod().equals("HEAD")) {
      send(outlet, response.getOutputStream());
    }
  }

  /** A part at a time, so that no connection waits for a slow reader. */
  private void send(Outlet outlet, OutputStream target) throws IOException {
    int part = 0;
    Optional<byte[]> bytes = store.part(outlet.id(), outlet.sha256(), part);
    while (bytes.isPresent()) {
      target.write(bytes.get());
      part++;
      bytes = store.part(outlet.id(), outlet.sha256(), part);
    }
  }
}
