/** Physical tools: assembled, labelled, measured, carried, worn. */
package arborline.server.physical;
