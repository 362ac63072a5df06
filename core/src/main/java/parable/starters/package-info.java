/** The library of starters: ordinary sheets, built of the same edits that the drawing desk makes. */
package parable.starters;
