/** How a turning tool stands to the work: contact side, feed, spindle direction, imaginary tip. */
package arborline.core.turning;
