/** The step of the record: the logbook of the machine, and how a reading went over time. */
package parable.app.log;
