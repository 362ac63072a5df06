/** The layout of every drawing as plain geometry, so that screen, print and file show the same drawing. */
package parable.draw;
