/** The menu at the hand: what can be done with the thing on the drawing that was pointed at. */
package parable.app.menu;
