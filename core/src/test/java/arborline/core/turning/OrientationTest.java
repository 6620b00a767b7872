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
    ToolOrientation standing = Orientation.of(mounting);
    assertEquals(row.getString(9), standing.contact());
    assertEquals(row.getString(10), standing.feed());
    assertEquals(row.getString(11), standing.spindle());
    assertEquals(row.getInteger(12), standing.tipX());
    assertEquals(row.getInteger(13), standing.tipZ());
    assertEquals(row.getInteger(14), standing.orientation());
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
    return all.stream().filter(each -> Orientation.obstacle(each).isEmpty()).toList();
  }

  @Test
  void feedingTowardsItsOwnChuckGivesM3ForRightAndM4ForLeft() {
    for (Mounting each : all()) {
      ToolOrientation standing = Orientation.of(each);
      boolean right = each.hand() == Hand.R;
      if (standing.feed().equals("toward_chuck")) {
        assertEquals(right ? "M3" : "M4", standing.spindle(), each.toString());
      } else if (standing.feed().equals("away_from_chuck")) {
        assertEquals(right ? "M4" : "M3", standing.spindle(), each.toString());
      }
    }
  }

  @Test
  void turningTheRakeOverTurnsTheSpindleOrTheSide() {
    for (Mounting each : all()) {
      if (each.work() == Work.EXTERNAL) {
        Mounting over =
            new Mounting(
                each.turret(),
                each.commonX(),
                each.subSpindle(),
                each.mirroredZ(),
                each.axial(),
                each.work(),
                each.hand(),
                !each.rakeUp());
        assertEquals(
            Orientation.of(each).spindle().equals("M3") ? "M4" : "M3",
            Orientation.of(over).spindle());
      }
    }
  }
}
