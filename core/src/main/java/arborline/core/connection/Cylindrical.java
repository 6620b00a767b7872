package arborline.core.connection;

import com.google.auto.service.AutoService;
import java.math.BigDecimal;
import java.util.List;
import java.util.Optional;

/**
 * Cylindrical shanks (DIN 1835 and 6535: A plain, B with flat, E with inclined flat) and the bores
 * that take them: SL side lock, IN inclined lock, HY hydraulic, SF shrink, RG a collet's range.
 */
@AutoService(Family.class)
public final class Cylindrical implements Family {

  private static final List<String> SHANKS = List.of("A", "B", "E");
  private static final List<String> BORES = List.of("SL", "IN", "HY", "SF", "RG");
  private static final BigDecimal INCH = new BigDecimal("25.4");

  @Override
  public String id() {
    return "CY";
  }

  @Override
  public String tradeName(Connection connection) {
    String kind =
        switch (connection.form()) {
          case "A" -> " h6";
          case "B" -> " h6 with flat";
          case "E" -> " h6 with inclined flat";
          case "SL" -> " side lock";
          case "IN" -> " inclined lock";
          case "HY" -> " hydraulic";
          case "SF" -> " shrink fit";
          default -> " collet";
        };
    return "\u00d8" + connection.size() + kind;
  }

  @Override
  public Optional<String> fault(Connection connection) {
    String form = connection.form();
    if (!SHANKS.contains(form) && !BORES.contains(form)) {
      return Optional.of("cylindrical form %s unknown".formatted(form));
    }
    if (connection.socket() != BORES.contains(form)) {
      return Optional.of(
          connection.socket()
              ? "cylindrical form %s is a shank (m)".formatted(form)
              : "cylindrical form %s is a bore (f)".formatted(form));
    }
    return sizeFault(connection.size(), form.equals("RG"));
  }

  private static Optional<String> sizeFault(String size, boolean range) {
    try {
      if (range) {
        int dots = size.indexOf("..");
        boolean rising =
            dots > 0
                && new BigDecimal(size.substring(0, dots))
                        .compareTo(new BigDecimal(size.substring(dots + 2)))
                    < 0;
        return rising
            ? Optional.empty()
            : Optional.of("collet range %s is not FROM..TO".formatted(size));
      }
      return millimetres(size).signum() > 0
          ? Optional.empty()
          : Optional.of("diameter %s must be > 0".formatted(size));
    } catch (NumberFormatException broken) {
      return Optional.of("diameter %s is not a number".formatted(size));
    }
  }

  private static BigDecimal millimetres(String size) {
    BigDecimal diameter =
        size.endsWith("in")
            ? new BigDecimal(size.substring(0, size.length() - 2)).multiply(INCH)
            : new BigDecimal(size);
    return diameter.stripTrailingZeros();
  }

  @Override
  public Joint joint(Connection socket, Connection shank) {
    BigDecimal diameter = millimetres(shank.size());
    if (socket.form().equals("RG")) {
      int dots = socket.size().indexOf("..");
      BigDecimal least = new BigDecimal(socket.size().substring(0, dots));
      BigDecimal most = new BigDecimal(socket.size().substring(dots + 2));
      boolean within = diameter.compareTo(least) >= 0 && diameter.compareTo(most) <= 0;
      String text = diameter.toPlainString();
      return within
          ? Joint.yes("%s within collet range %s".formatted(text, socket.size()))
          : Joint.no("%s outside collet range %s".formatted(text, socket.size()));
    }
    BigDecimal bore = millimetres(socket.size());
    if (bore.compareTo(diameter) != 0) {
      return Joint.no(
          "bore %s mm vs shank %s mm: fixed bores take only their own diameter"
              .formatted(bore.toPlainString(), diameter.toPlainString()));
    }
    return forms(socket.form(), shank.form());
  }

  private static Joint forms(String bore, String shank) {
    String needed =
        switch (bore) {
          case "SL" -> "B";
          case "IN" -> "E";
          default -> "A";
        };
    if (needed.equals(shank)) {
      return Joint.yes("same diameter, matching shank form");
    }
    return Joint.no(
        switch (bore) {
          case "SL" -> "side-lock screw needs a flat (form B)";
          case "IN" -> "inclined-flat screw needs the 2 deg flat (form E)";
          case "HY" -> "flats break the sealed clamping zone; plain shank only";
          default -> "flats break the shrink fit's even grip; plain shank only";
        });
  }
}
