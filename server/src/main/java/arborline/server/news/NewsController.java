package arborline.server.news;

import arborline.server.account.MayReceive;
import arborline.server.support.Refusal;
import java.io.IOException;
import java.util.List;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api/v1/news")
class NewsController {

  private final News news;
  private final FetchedPackages fetched;
  private final VendorDispatch dispatch;

  NewsController(News news, FetchedPackages fetched, VendorDispatch dispatch) {
    this.news = news;
    this.fetched = fetched;
    this.dispatch = dispatch;
  }

  /** News of all vendors. */
  record AllNews(List<News.VendorNews> vendors) {}

  /** Looks what vendors have that the shop has not; 502 where the dispatch does not answer. */
  @GetMapping
  AllNews look() {
    required();
    try {
      return new AllNews(news.look());
    } catch (IOException silent) {
      throw unreachable(silent);
    }
  }

  /**
   * A delivery.
   *
   * @param id of it
   */
  record FetchedDelivery(long id) {}

  /** Fetches a package as a delivery; one that came already is not fetched again. */
  @PostMapping("/{packageId}/fetch")
  @MayReceive
  @ResponseStatus(HttpStatus.ACCEPTED)
  FetchedDelivery fetch(@PathVariable String packageId) {
    required();
    try {
      return new FetchedDelivery(fetched.fetch(packageId));
    } catch (IOException silent) {
      throw unreachable(silent);
    }
  }

  private void required() {
    if (!dispatch.known()) {
      throw Refusal.notFound(
          "no vendor dispatch is set up; start the server with its address in ARBOR_DISPATCH_URL");
    }
  }

  private static RuntimeException unreachable(IOException silent) {
    return Refusal.of(
        HttpStatus.BAD_GATEWAY, "the vendor dispatch cannot be asked: " + silent.getMessage());
  }
}
