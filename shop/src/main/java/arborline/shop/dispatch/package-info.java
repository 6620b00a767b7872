/** The dispatch of vendors: lists their packages, and sends them, over HTTP. */
package arborline.shop.dispatch;
