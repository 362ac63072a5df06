/** Drawing by words: a rung typed in a few strokes, the lowest free contact of a device, the device that a tag calls for. */
package parable.drafting;
