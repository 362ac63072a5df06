/** The open job, who works on it, and how files are asked for: what every page of the window rests on. */
package parable.app.job;
