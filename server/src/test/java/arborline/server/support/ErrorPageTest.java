package arborline.server.support;

import static org.junit.jupiter.api.Assertions.assertEquals;

import jakarta.servlet.RequestDispatcher;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.mock.web.MockHttpServletRequest;

class ErrorPageTest {

  @ParameterizedTest
  @CsvSource({
    "/b%C3%B6hrer.js, /b%C3%B6hrer.js",
    "/a%20b.js, /a%20b.js",
    "/a b.js, /a%20b.js",
    "/100%.js, /100%25.js"
  })
  void anAddressIsNamedAsItWasAsked(String asked, String named) {
    MockHttpServletRequest request = new MockHttpServletRequest();
    request.setAttribute(RequestDispatcher.ERROR_REQUEST_URI, asked);
    assertEquals(named, new ErrorPage().error(request).getBody().getInstance().toString());
  }
}
