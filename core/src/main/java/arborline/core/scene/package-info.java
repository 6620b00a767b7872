/** Machines that turn work, drawn as one scene: spindles with their work, and what brings tools. */
package arborline.core.scene;
