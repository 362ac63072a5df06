/** What is to be said of whatever is pointed at on a sheet: a device, a wire, a rung; and how a device is set, setting by setting. */
package parable.card;
