package arborline.server.support;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ReadListener;
import jakarta.servlet.ServletException;
import jakarta.servlet.ServletInputStream;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletRequestWrapper;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * Reads no more of a body than a request of this product can need; files have limits of their own.
 */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE + 10)
class BodyLimit extends OncePerRequestFilter {

  private static final int MOST = 4 * 1024 * 1024;

  @Override
  protected boolean shouldNotFilter(HttpServletRequest request) {
    String type = request.getContentType();
    return type != null && type.startsWith("multipart/");
  }

  @Override
  protected void doFilterInternal(
      HttpServletRequest request, HttpServletResponse response, FilterChain chain)
      throws ServletException, IOException {
    if (request.getContentLengthLong() > MOST) {
      ProblemWriter.write(
          response,
          HttpStatus.CONTENT_TOO_LARGE,
          "the body is larger than 4 MB; send less at once");
      return;
    }
    chain.doFilter(new Limited(request), response);
  }

  private static final class Limited extends HttpServletRequestWrapper {

    Limited(HttpServletRequest request) {
      super(request);
    }

    @Override
    public ServletInputStream getInputStream() throws IOException {
      return new LimitedStream(super.getInputStream());
    }
  }

  /** Ends with an error behind the limit, for bodies that did not say how long they are. */
  private static final class LimitedStream extends ServletInputStream {
    private final ServletInputStream body;
    private long read;

    LimitedStream(ServletInputStream body) {
      this.body = body;
    }

    private int counted(int count) throws IOException {
      read += Math.max(0, count);
      if (read > MOST) {
        throw new IOException("the body is larger than 4 MB");
      }
      return count;
    }

    @Override
    public int read() throws IOException {
      int next = body.read();
      counted(next < 0 ? 0 : 1);
      return next;
    }

    @Override
    public int read(byte[] bytes, int from, int length) throws IOException {
      return counted(body.read(bytes, from, length));
    }

    @Override
    public boolean isFinished() {
      return body.isFinished();
    }

    @Override
    public boolean isReady() {
      return body.isReady();
    }

    @Override
    public void setReadListener(ReadListener listener) {
      body.setReadListener(listener);
    }
  }
}
