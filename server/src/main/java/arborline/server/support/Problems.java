package arborline.server.support;

import org.hibernate.exception.ConstraintViolationException;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.dao.QueryTimeoutException;
import org.springframework.http.HttpStatus;
import org.springframework.http.ProblemDetail;
import org.springframework.http.ResponseEntity;
import org.springframework.http.converter.HttpMessageNotReadableException;
import org.springframework.security.access.AccessDeniedException;
import org.springframework.web.ErrorResponse;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.RestControllerAdvice;
import org.springframework.web.context.request.async.AsyncRequestNotUsableException;
import org.springframework.web.method.annotation.MethodArgumentTypeMismatchException;
import org.springframework.web.multipart.MaxUploadSizeExceededException;
import org.springframework.web.multipart.MultipartException;
import org.springframework.web.multipart.support.MissingServletRequestPartException;
import org.springframework.web.servlet.resource.NoResourceFoundException;

/** Turns exceptions into problem documents in the sender's words. */
@RestControllerAdvice
@Order(Ordered.HIGHEST_PRECEDENCE)
class Problems {

  private static final Logger LOG = LoggerFactory.getLogger(Problems.class);

  @ExceptionHandler
  ProblemDetail refusal(Refusal refusal) {
    ProblemDetail problem =
        ProblemDetail.forStatusAndDetail(refusal.status(), refusal.getMessage());
    if (refusal.details() != null) {
      problem.setProperty("details", refusal.details());
    }
    return problem;
  }

  @ExceptionHandler
  ProblemDetail forbidden(AccessDeniedException denied) {
    return ProblemDetail.forStatusAndDetail(
        HttpStatus.FORBIDDEN, "your role may not do this; ask the lead");
  }

  @ExceptionHandler
  ProblemDetail tooLarge(MaxUploadSizeExceededException large) {
    return ProblemDetail.forStatusAndDetail(
        HttpStatus.CONTENT_TOO_LARGE,
        "the file is larger than 1100 MB, or its name is too long; split or rename it");
  }

  @ExceptionHandler
  ProblemDetail unreadable(HttpMessageNotReadableException unreadable) {
    return ProblemDetail.forStatusAndDetail(
        HttpStatus.BAD_REQUEST, UnreadableBody.reason(unreadable));
  }

  /** An upload that breaks off, or whose parts cannot be told apart. */
  @ExceptionHandler
  ProblemDetail brokenUpload(MultipartException broken) {
    return ProblemDetail.forStatusAndDetail(
        HttpStatus.BAD_REQUEST, "the upload broke off or is no list of files; send it again");
  }

  @ExceptionHandler
  ProblemDetail missingPart(MissingServletRequestPartException missing) {
    return ProblemDetail.forStatusAndDetail(
        HttpStatus.BAD_REQUEST,
        "there is no part '%s' in what was sent; send what it asks for under that name"
            .formatted(missing.getRequestPartName()));
  }

  /** Said by Spring or, where rows are written ahead of the end of a transaction, by Hibernate. */
  @ExceptionHandler({DataIntegrityViolationException.class, ConstraintViolationException.class})
  ProblemDetail taken(Exception clash) {
    LOG.info("write refused by the database: {}", clash.getMessage());
    return ProblemDetail.forStatusAndDetail(
        HttpStatus.CONFLICT,
        "somebody else took that code or name meanwhile; load again and retry");
  }

  /** The database gave a question up that took it too long. */
  @ExceptionHandler
  ProblemDetail tooLong(QueryTimeoutException given) {
    LOG.warn("the database took too long: {}", given.getMessage());
    return ProblemDetail.forStatusAndDetail(
        HttpStatus.SERVICE_UNAVAILABLE,
        "this takes too long just now; ask for less at once, or try again in a moment");
  }

  @ExceptionHandler
  ProblemDetail missing(NoResourceFoundException missing) {
    return ProblemDetail.forStatusAndDetail(
        HttpStatus.NOT_FOUND, "there is nothing at this address");
  }

  @ExceptionHandler
  ProblemDetail malformed(MethodArgumentTypeMismatchException malformed) {
    return ProblemDetail.forStatusAndDetail(
        HttpStatus.BAD_REQUEST,
        "'%s' is not possible for %s".formatted(malformed.getValue(), malformed.getName()));
  }

  /**
   * Others in the way, a database out of reach, or a defect of ours: logged whole, told without its
   * inside.
   */
  @ExceptionHandler
  ResponseEntity<ProblemDetail> defect(Exception defect) {
    if (defect instanceof ErrorResponse told) {
      return ResponseEntity.status(told.getStatusCode()).body(told.getBody());
    }
    if (gone(defect)) {
      return null;
    }
    if (InTheWay.is(defect)) {
      return ResponseEntity.status(HttpStatus.CONFLICT)
          .body(
              ProblemDetail.forStatusAndDetail(
                  HttpStatus.CONFLICT,
                  "somebody else is working on this just now; try again in a moment"));
    }
    if (Unreachable.is(defect)) {
      LOG.warn("the database could not be asked: {}", defect.getMessage());
      return ResponseEntity.status(HttpStatus.SERVICE_UNAVAILABLE)
          .body(
              ProblemDetail.forStatusAndDetail(HttpStatus.SERVICE_UNAVAILABLE, Unreachable.DETAIL));
    }
    LOG.error("request failed", defect);
    return ResponseEntity.internalServerError()
        .body(
            ProblemDetail.forStatusAndDetail(
                HttpStatus.INTERNAL_SERVER_ERROR,
                "something went wrong on our side and was logged; nothing was changed"));
  }

  private static boolean gone(Exception defect) {
    return defect instanceof AsyncRequestNotUsableException;
  }
}
