/**
 * The simulated outside world: controls that keep tool tables and can be told to misbehave. Its own
 * process; it shares no code with the product, so that neither hides the other's mistakes.
 */
package arborline.shop;
