package parable.plc;

/**
 * Where something of the relay sheet goes.
 *
 * @param what a contact such as {@code F2 95-96}, or a device
 * @param inCopper whether it stays in the circuit of the coils
 * @param inProgram whether the program knows of it
 * @param changeable whether it could be decided otherwise
 * @param why in a sentence
 */
public record Split(String what, boolean inCopper, boolean inProgram, boolean changeable, String why) {}
