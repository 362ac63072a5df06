/** The meter: two probes that stay where they were put, and what it shows. */
package parable.app.meter;
