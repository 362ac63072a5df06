/** The first page of a job: its sheets and those of the library as small pictures. */
package parable.app.sheets;
