package arborline.core.turning;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertThrows;

import arborline.core.turning.Mounting.Hand;
import arborline.core.turning.Mounting.Side;
import arborline.core.turning.Mounting.Work;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.aggregator.ArgumentsAccessor;
import org.junit.jupiter.params.provider.CsvFileSource;

class OrientationTest {

  @ParameterizedTest
  @CsvFileSource(resources = "/vectors/orientation.csv", numLinesToSkip = 1)
  void agreesWithWorkedCases(ArgumentsAccessor row) {
    Mounting mounting =
        new Mounting(
            Side.valueOf(upper(row, 0)),
            row.getString(1).equals("rear"),
            row.getString(2).equals("sub"),
            row.getString(3).equals("mirrored"),
            row.getString(4).equals("axial"),
            Work.valueOf(upper(row, 5)),
            Hand.valueOf(row.getString(6)),
            row.getString(7).equals("up"));
    if (row.getString(8).equals("no")) {
      assertFalse(Orientation.obstacle(mounting).orElseThrow().message().isBlank());
      assertThrows(IllegalArgumentException.class, () -> Orientation.of(mounting));
      return;
    }
    ToolOrientation orientation = Orientation.of(mounting);
    assertEquals(row.getString(9), orientation.contact());
    assertEquals(row.getString(10), orientation.feed());
    assertEquals(row.getString(11), orientation.spindle());
    assertEquals(row.getInteger(12), orientation.tipX());
    assertEquals(row.getInteger(13), orientation.tipZ());
    assertEquals(row.getInteger(14), orientation.orientation());
  }

  private static String upper(ArgumentsAccessor row, int column) {
    return row.getString(column).toUpperCase(Locale.ROOT);
  }

  private static List<Mounting> all() {
    List<Mounting> all = new ArrayList<>();
    for (int bits = 0; bits < 64; bits++) {
      for (Work work : Work.values()) {
        for (Hand hand : Hand.values()) {
          all.add(
              new Mounting(
                  (bits & 1) == 0 ? Side.FRONT : Side.REAR,
                  (bits & 2) == 0,
                  (bits & 4) == 0,
                  (bits & 8) == 0,
                  (bits & 16) == 0,
                  work,
                  hand,
                  (bits & 32) == 0));
        }
      }
    }
    return all.stream().filter(candidate -> Orientation.obstacle(candidate).isEmpty()).toList();
  }

  @Test
  void feedingTowardsItsOwnChuckGivesM3ForRightAndM4ForLeft() {
    for (Mounting candidate : all()) {
      ToolOrientation orientation = Orientation.of(candidate);
      boolean right = candidate.hand() == Hand.R;
      if (orientation.feed().equals("toward_chuck")) {
        assertEquals(right ? "M3" : "M4", orientation.spindle(), candidate.toString());
      } else if (orientation.feed().equals("away_from_chuck")) {
        assertEquals(right ? "M4" : "M3", orientation.spindle(), candidate.toString());
      }
    }
  }

  @Test
  void turningTheRakeOverTurnsTheSpindleOrTheSide() {
    for (Mounting candidate : all()) {
      if (candidate.work() == Work.EXTERNAL) {
        Mounting over =
            new Mounting(
                candidate.turret(),
                candidate.commonX(),
                candidate.subSpindle(),
                candidate.mirroredZ(),
                candidate.axial(),
                candidate.work(),
                candidate.hand(),
                !candidate.rakeUp());
        assertEquals(
            Orientation.of(candidate).spindle().equals("M3") ? "M4" : "M3",
            Orientation.of(over).spindle());
      }
    }
  }
}
