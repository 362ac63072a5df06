/** The step of sizing: what is given and what follows, curves, the job as a table, the tables, and what of the drawing differs. */
package parable.app.sizing;
