/** Claims that follow from the circuit, and what every single fault does to them. */
package parable.proof;
