/** The record of a machine: what was found and done, when, by whom, on which circuit; only ever added to. */
package parable.logbook;
