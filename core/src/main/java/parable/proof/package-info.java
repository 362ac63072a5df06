/** Claims that follow from the circuit, proved by going through every reachable state. */
package parable.proof;
