/** Finding devices, wires and rungs of the sheet that is shown. */
package parable.app.find;
