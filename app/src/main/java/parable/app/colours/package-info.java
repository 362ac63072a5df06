/** The page on which a job's colours of buttons and lamps are agreed on. */
package parable.app.colours;
