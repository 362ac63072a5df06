/** Job files: opening, saving, and what is wrong with a file that cannot be opened. */
package parable.files;
