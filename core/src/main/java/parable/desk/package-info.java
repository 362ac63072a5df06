/** What is typed and chosen at the drawing desk, read as edits of a sheet. */
package parable.desk;
