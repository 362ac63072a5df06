/** The running sheet as the window sees it: a bench, a clock, and the instant that is shown. */
package parable.app.run;
