/** The step of wiring: places with their devices, and the wires one at a time. */
package parable.app.wiring;
