/** Proposals: changes that somebody may not make himself, taken or declined by who may. */
package arborline.server.proposal;
