/** From the drawing to copper: where devices and their terminals are, and which wires join them, one after the other. */
package parable.wiring;
