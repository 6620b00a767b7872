/**
 * What a shop has decided for itself: who may say how far tools are trusted, and what is planned.
 */
package arborline.server.rule;
