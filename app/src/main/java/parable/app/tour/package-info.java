/** A walk through the window on the demo job, one act after the other. */
package parable.app.tour;
