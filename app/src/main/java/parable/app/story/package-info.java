/** The story: what happened and why, line by line; a line leads to its instant. */
package parable.app.story;
