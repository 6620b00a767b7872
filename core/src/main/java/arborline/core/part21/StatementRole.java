package arborline.core.part21;

/** What a statement of a property file is for. */
enum StatementRole {
  UNIT,
  /** A context, exponents of a unit: nothing belongs together through it. */
  CONTEXT,
  /** A text in one or several languages. */
  LANGUAGE,
  /** A point, a direction, a place. */
  PLACE,
  /** Says of a number that it is the least or the greatest. */
  QUALIFIER,
  CLASS,
  /** Names a file. */
  FILE,
  /** One item as a part of another. */
  USAGE,
  /** How an item meets the machine or the workpiece. */
  CONNECTION,
  ITEM,
  /** Names a property, with its value or without. */
  PROPERTY,
  VALUE,
  /** Brings others together. */
  LINK
}
