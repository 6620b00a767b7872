/** Jobs: which tools their programs call, and what must not change under them. */
package arborline.core.job;
