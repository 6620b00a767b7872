/**
 * Tables that others made: what their columns mean, what their words and sizes say, and which of
 * their rows are tools.
 *
 * <p>{@link arborline.core.recipe.ForeignTable} is the way in. Words of the trade stand in
 * tab-separated files beside the code: {@code header-words.tsv} and {@code header-tokens.tsv} for
 * header cells, {@code class-words.tsv} for kinds of tools.
 */
package arborline.core.recipe;
