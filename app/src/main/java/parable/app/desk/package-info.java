/** The drawing desk: what is selected, what is to be done there, and the line in which it is typed. */
package parable.app.desk;
