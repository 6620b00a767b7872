/** Recipes: what people decided about reading foreign tables, saved, found again and exchanged. */
package arborline.server.recipe;
