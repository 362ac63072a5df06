/** A sheet compiled to arrays: which points are joined, which loads have what voltage, what is shorted. */
package parable.network;
