/** The kinds of device with their markings, contacts, loads and times, and a sheet fitted out with them. */
package parable.parts;
