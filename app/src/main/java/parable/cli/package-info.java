/** The command line: the same words with and without a window. */
package parable.cli;
