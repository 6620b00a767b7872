package arborline.core.tool.kind;

import static org.junit.jupiter.api.Assertions.assertEquals;

import arborline.core.tool.Completed;
import arborline.core.tool.Sample;
import arborline.core.tool.Silhouettes;
import arborline.core.tool.outline.Mark;
import arborline.core.tool.outline.Outline;
import arborline.core.tool.outline.Part;
import arborline.core.tool.outline.Point;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;

/**
 * Every class is drawn with the sizes that its values state; {@code outlines.txt} lists the parts
 * of each tool and the dimensions at them.
 */
class OutlinesTest {

  static Stream<Arguments> outlines() throws IOException {
    try (var file =
        Objects.requireNonNull(OutlinesTest.class.getResourceAsStream("/vectors/outlines.txt"))) {
      String text = new String(file.readAllBytes(), StandardCharsets.UTF_8);
      return Stream.of(text.split("\n(?=CLASS=)"))
          .skip(1)
          .map(block -> block.strip().split("\n", 2))
          .map(block -> Arguments.of(block[0], block[1]));
    }
  }

  @ParameterizedTest(name = "{0}")
  @MethodSource("outlines")
  void isDrawnWithItsSizes(String tool, String expected) {
    Outline outline = Silhouettes.of(Completed.of(Sample.tool(tool)).tool()).orElseThrow();
    assertEquals(
        expected,
        Stream.concat(
                outline.parts().stream().map(part -> listed(part, outline.length())),
                outline.marks().stream().map(mark -> listed(mark, outline.length())))
            .collect(Collectors.joining("\n")));
  }

  private static String listed(Part part, double tip) {
    List<Point> profile = part.profile();
    return "  %s%s %s..%s behind the tip, r %s..%s, area %s"
        .formatted(
            part.kind().name().toLowerCase(Locale.ROOT),
            part.flat() ? " flat" : "",
            number(tip - profile.stream().mapToDouble(Point::z).max().orElseThrow()),
            number(tip - profile.stream().mapToDouble(Point::z).min().orElseThrow()),
            number(profile.stream().mapToDouble(Point::r).min().orElseThrow()),
            number(profile.stream().mapToDouble(Point::r).max().orElseThrow()),
            number(part.flat() ? polygon(profile) : halfProfile(profile)));
  }

  private static String listed(Mark mark, double tip) {
    String from = number(tip - mark.z2());
    return switch (mark.kind()) {
      case ALONG -> "  %s along %s..%s".formatted(mark.symbol(), from, number(tip - mark.z1()));
      case ACROSS -> "  %s across %s at %s".formatted(mark.symbol(), number(2 * mark.r()), from);
      default ->
          "  %s %s at %s, r %s"
              .formatted(
                  mark.symbol(),
                  mark.kind().name().toLowerCase(Locale.ROOT),
                  from,
                  number(mark.r()));
    };
  }

  private static String number(double millimetres) {
    return String.format(Locale.ROOT, "%.3f", millimetres + 0.0).replace("-0.000", "0.000");
  }

  private static double polygon(List<Point> corners) {
    double twice = 0;
    for (int i = 0; i < corners.size(); i++) {
      Point here = corners.get(i);
      Point next = corners.get((i + 1) % corners.size());
      twice += here.z() * next.r() - next.z() * here.r();
    }
    return Math.abs(twice) / 2;
  }

  private static double halfProfile(List<Point> profile) {
    double area = 0;
    for (int i = 1; i < profile.size(); i++) {
      Point here = profile.get(i - 1);
      Point next = profile.get(i);
      area += (next.z() - here.z()) * (here.r() + next.r()) / 2;
    }
    return area;
  }
}
