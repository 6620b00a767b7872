package arborline.core.tool.rule;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import arborline.core.finding.Finding;
import arborline.core.tool.Rule;
import arborline.core.tool.Sample;
import java.util.Optional;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;

/** What is just allowed, what no longer is, and what is said of it. */
class RuleLimitsTest {

  private static Arguments limit(Rule rule, String allowed, String refused, String words) {
    return Arguments.of(rule, allowed, refused, words);
  }

  static Stream<Arguments> limits() {
    return Stream.of(
        limit(
            new FormingTapDrill(),
            "TD=8 TP=1.25 PHD=7.5",
            "TD=8 TP=1.25 PHD=7.51",
            "thread diameter less half the pitch is 7.375 mm"),
        limit(
            new RadiusWithinTip(),
            "DCN=4 RE=2",
            "DCN=4 RE=2.01",
            "RE 2.01 mm is more than half of the tip diameter DCN 4 mm"),
        limit(new SquareToAxis(), "KAPR=90", "KAPR=89.5", "edge angle KAPR 89.5 deg is not 90 deg"),
        limit(
            new DovetailNeck(),
            "DC=20 APMX=5 KAPR=60 DN=14.226",
            "DC=20 APMX=5 KAPR=60 DN=14.23",
            "wider than the flanks leave (14.226 mm)"),
        limit(
            new RoundingWithinDiameter(),
            "DCN=4 PRFRAD=3 DCX=10",
            "DCN=4 PRFRAD=3 DCX=9.99",
            "less than DCN 4 mm and twice the radius PRFRAD 3 mm"),
        limit(
            new ThreadsPerInch(),
            "TPI=20 TP=1.2709",
            "TPI=20 TP=1.272",
            "pitch TP 1.272 mm and 20"),
        limit(new PitchWithinThread(), "TP=2.9 TD=3", "TP=3 TD=3", "TP 3 mm is not less than"),
        limit(new RampWithinRightAngle(), "RMPX=90", "RMPX=90.1", "RMPX 90.1 deg is more than 90"),
        limit(
            new ThreadMillEnters(),
            "TDZ=M10 DC=8.3",
            "TDZ=M10 DC=8.4",
            "DC 8.4 mm does not enter the core hole of 8.376 mm"),
        limit(
            new ThreadMillEnters(),
            "TDN=6 TP=1 DC=4.9",
            "TDN=6 TP=1 DC=4.92",
            "does not enter the core hole of 4.91"),
        limit(
            new ConeDepth(),
            "DCX=10 DCN=0 SIG=90 APMX=5.05",
            "DCX=10 DCN=0 SIG=90 APMX=5.06",
            "more than the cone is long (5.000 mm)"),
        limit(
            new ConeDepth(),
            "DC=12 DCN=2 SIG=180 APMX=0.05",
            "DC=12 DCN=2 SIG=60 APMX=8.8",
            "(8.660 mm)"),
        limit(
            new FaceMillDiameters(),
            "DC=50 APMX=6 KAPR=45 DCX=63.19",
            "DC=50 APMX=6 KAPR=45 DCX=63.3",
            "DC, APMX and KAPR give 62.00 mm"),
        limit(
            new FaceMillDiameters(),
            "DC=50 APMX=6 KAPR=90 DCX=80",
            "DC=50 APMX=2 KAPR=60 DCX=50.8",
            "give 52.31 mm"),
        limit(
            new PointLength(),
            "DC=10 SIG=118 PL=3.05",
            "DC=10 SIG=118 PL=3.06",
            "diameter and point angle give 3.004 mm"),
        limit(
            new PointLength(),
            "DC=10 DCN=2 SIG=118 PL=2.4",
            "DC=10 DCN=2 SIG=118 PL=3",
            "give 2.403 mm"),
        limit(
            new InsertGeometry(),
            "SC=C EPSR=80.6",
            "SC=C EPSR=80.7",
            "a corner of 80 deg, but EPSR is 80.7 deg"),
        limit(
            new InsertGeometry(),
            "SC=S IC=12.7 L=13.4",
            "SC=S IC=12.7 L=13.5",
            "has an edge of 12.70 mm, but L is 13.5 mm"),
        limit(
            new InsertGeometry(),
            "SC=T IC=12.7 L=22",
            "SC=T IC=12.7 L=20",
            "has an edge of 22.00 mm"),
        limit(
            new InsertGeometry(),
            "SC=R EPSR=45 IC=12.7 RE=6.35",
            "SC=R IC=12.7 RE=6.4",
            "RE 6.4 mm is more than half of the inscribed circle IC 12.7 mm"),
        limit(
            new InsertGeometry(),
            "IC=12.7 D1=12.7",
            "IC=12.7 D1=12.8",
            "D1 12.8 mm is more than the whole of the inscribed circle"));
  }

  @ParameterizedTest(name = "{1} but not {2}")
  @MethodSource("limits")
  void aRuleHasALimit(Rule rule, String allowed, String refused, String words) {
    assertEquals(Optional.empty(), rule.check(Sample.tool("CLASS=insert " + allowed)));
    Optional<Finding> found = rule.check(Sample.tool("CLASS=insert " + refused));
    assertTrue(found.orElseThrow().message().contains(words), found.get().message());
  }
}
