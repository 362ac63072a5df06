/** Faults: what can be put in, and what is in. */
package parable.app.fault;
