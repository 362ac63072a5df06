/** The enclosure door and the field stations: operators to press, lamps to watch. */
package parable.app.door;
