/** The sheet on screen: the drawing, what is live on it, and what can be operated on it. */
package parable.app.sheet;
