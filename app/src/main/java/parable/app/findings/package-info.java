/** What the rules find on the shown sheet, beside the drawing. */
package parable.app.findings;
