/** What was measured of a tool, as exact decimals in mm; empty takes a measure away. */
export interface Measures {
  length?: string;
  diameter?: string;
}
