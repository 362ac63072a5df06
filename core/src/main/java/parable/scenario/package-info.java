/** Scenario scripts: what to do to a sheet and what to expect of it, at what time, in plain text. */
package parable.scenario;
