package arborline.shop.dispatch;

/** How a vendor's exporter writes property files; each in a structure of its own. */
interface ItemStatements {

  /** The statements between DATA and ENDSEC of the file of an item, one a line. */
  String data(CatalogueRelease release, CatalogueItem item);

  /** A text in quotes, with all that is not plain in the escapes of ISO 10303-21. */
  static String quoted(String text) {
    StringBuilder quoted = new StringBuilder("'");
    for (char letter : text.replace("\\", "\\\\").replace("'", "''").toCharArray()) {
      if (letter < 127) {
        quoted.append(letter);
      } else {
        quoted.append("\\X2\\%04X\\X0\\".formatted((int) letter));
      }
    }
    return quoted.append('\'').toString();
  }

  /** A number as a real; a text as it is. */
  static String real(CatalogueItem.Size size) {
    boolean whole = size.text().matches("-?\\d+");
    return whole ? size.text() + "." : size.text();
  }

  /** The exporter of a vendor. */
  static ItemStatements named(String writer) {
    return switch (writer) {
      case "ids" -> new IdStatements();
      case "lists" -> new ListStatements();
      case "assemblies" -> new AssemblyStatements();
      default -> throw new IllegalArgumentException("no exporter is called " + writer);
    };
  }
}
