/** Rules of libraries: how tool numbers are given and how copies are named. */
package arborline.core.library;
