/** What leaves the window on paper: files to be printed, and printing itself. */
package parable.app.paper;
