/** Speed figures: each as a ratio against its floor, measured in the same run. */
package arborline.bench;
