/** Whole steps of the trade as one stroke on a drawn circuit: one more station, hold itself in, bar each other, lamps. */
package parable.stroke;
