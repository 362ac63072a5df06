/** The bench: a sheet under voltage in time, what is done to it, what it does, and the story of why. */
package parable.bench;
