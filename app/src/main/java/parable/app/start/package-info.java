/** The start of a job: what the starter is to do, and the sheet that the library proposes. */
package parable.app.start;
