/** Job, sheet, device, terminal, node and rung: the circuit as immutable values. */
package parable.circuit;
