/** Libraries: which tools they hold under which number, lists of them, tools that enter. */
package arborline.server.library;
