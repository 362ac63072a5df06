/** The page with all keys. */
package parable.app.keys;
