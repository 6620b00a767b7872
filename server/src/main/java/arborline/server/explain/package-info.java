/** Answers single questions from the same code that judges files and tables. */
package arborline.server.explain;
