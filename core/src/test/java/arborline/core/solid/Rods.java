package arborline.core.solid;

import arborline.core.stack.StepSolid;
import arborline.core.tool.outline.Point;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Files with several turned bodies beside each other, for tests. */
final class Rods {

  private static final Pattern NUMBER = Pattern.compile("#(\\d+)");
  private static final Pattern POINT = Pattern.compile("(CARTESIAN_POINT\\(''),\\((-?[\\d.E-]+),");
  private static final int NUMBERS_OF_ONE = 1000;

  private final StringBuilder statements = new StringBuilder();
  private int count;

  /** Puts one in, parallel to z and so far along x, mm. */
  Rods with(List<Point> half, double x) throws IOException {
    StringBuilder file = new StringBuilder();
    StepSolid.write(file, "rod", half, Instant.EPOCH);
    String data = file.substring(file.indexOf("DATA;") + 5, file.lastIndexOf("ENDSEC;"));
    int first = NUMBERS_OF_ONE * count++;
    String numbered =
        NUMBER.matcher(data).replaceAll(found -> "#" + (first + Integer.parseInt(found.group(1))));
    statements.append(
        POINT
            .matcher(numbered)
            .replaceAll(found ->
                Matcher.quoteReplacement(
                    "%s,(%s,".formatted(found.group(1), Double.parseDouble(found.group(2)) + x))));
    return this;
  }

  SolidReading read() throws IOException {
    return SolidReading.read(
        "ISO-10303-21;\nHEADER;\nFILE_SCHEMA(('AUTOMOTIVE_DESIGN'));\nENDSEC;\nDATA;%sENDSEC;\nEND-ISO-10303-21;\n"
            .formatted(statements)
            .getBytes(StandardCharsets.US_ASCII));
  }
}
