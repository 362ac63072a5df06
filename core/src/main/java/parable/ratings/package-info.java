/** Tables of the trade as data: what a practice says of currents, wires, devices, each with its source. */
package parable.ratings;
