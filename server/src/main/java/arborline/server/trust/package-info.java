/** Why a tool can be trusted: who checked it, what changed since, where it proved good. */
package arborline.server.trust;
