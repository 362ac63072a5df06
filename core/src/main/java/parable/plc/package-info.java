/** From relays to a controller: what moves into the program, how the field is wired, what each input reads, and the proof that both are the same machine. */
package parable.plc;
