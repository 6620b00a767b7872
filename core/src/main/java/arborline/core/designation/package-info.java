/** What the designations of inserts, holders and boring bars say, both ways. */
package arborline.core.designation;
