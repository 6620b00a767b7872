/** Which sockets and shanks mate, and why others that look alike do not. */
package arborline.core.connection;
