package arborline.server.support;

import jakarta.servlet.RequestDispatcher;
import jakarta.servlet.http.HttpServletRequest;
import java.net.URI;
import java.net.URISyntaxException;
import java.nio.charset.StandardCharsets;
import java.util.Optional;
import org.springframework.boot.webmvc.error.ErrorController;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ProblemDetail;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.util.UriUtils;

/** Answers what no other handler did; asked for by itself it is an address without anything. */
@RestController
@io.swagger.v3.oas.annotations.Hidden
class ErrorPage implements ErrorController {

  @RequestMapping("/error")
  ResponseEntity<ProblemDetail> error(HttpServletRequest request) {
    if (request.getAttribute(RequestDispatcher.ERROR_EXCEPTION) instanceof Throwable failure
        && Unreachable.is(failure)) {
      return problem(request, HttpStatus.SERVICE_UNAVAILABLE, Unreachable.DETAIL);
    }
    HttpStatus status =
        Optional.ofNullable(request.getAttribute(RequestDispatcher.ERROR_STATUS_CODE))
            .map(code -> HttpStatus.resolve((Integer) code))
            .orElse(HttpStatus.NOT_FOUND);
    String detail =
        status.is5xxServerError()
            ? "something went wrong on our side and was logged; nothing was changed"
            : status == HttpStatus.NOT_FOUND
                ? "there is nothing at this address"
                : "this request cannot be carried out";
    return problem(request, status, detail);
  }

  private static ResponseEntity<ProblemDetail> problem(
      HttpServletRequest request, HttpStatus status, String detail) {
    ProblemDetail problem = ProblemDetail.forStatusAndDetail(status, detail);
    if (request.getAttribute(RequestDispatcher.ERROR_REQUEST_URI) instanceof String asked) {
      problem.setInstance(address(asked));
    }
    return ResponseEntity.status(status)
        .contentType(MediaType.APPLICATION_PROBLEM_JSON)
        .body(problem);
  }

  /** The address as it was asked for; only what no address may have is escaped. */
  private static URI address(String asked) {
    try {
      return new URI(asked);
    } catch (URISyntaxException odd) {
      return URI.create(UriUtils.encodePath(asked, StandardCharsets.UTF_8));
    }
  }
}
