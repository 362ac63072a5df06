package parable.plc;

import java.util.Optional;
import parable.program.Address;

/**
 * An input or output of a controller.
 *
 * @param address its address
 * @param variable the variable of the program, empty if the program has none for it
 * @param terminal the controller's terminal, such as {@code I0}
 * @param device the tag of what is wired to it, empty if that is not one device alone
 * @param contact the field contact such as {@code 11-12}, or the terminal of the load; empty if there is no device
 * @param description what it is, in words
 * @param stops whether what is wired to an input stops or guards, so that it lets pass while nobody touches it
 * @param atRest whether an input reads 1, or an output is on, while the power is on and nobody touches anything
 * @param acted whether an input reads 1 while its device is actuated; false for an output
 * @param voltage such as {@code 24 V DC}
 */
public record IoPoint(
        Address address,
        Optional<String> variable,
        String terminal,
        String device,
        String contact,
        String description,
        boolean stops,
        boolean atRest,
        boolean acted,
        String voltage) {

    /** Whether it is an input. */
    public boolean isInput() {
        return address.area() == Address.Area.INPUT;
    }

    /** Whether the program has to read an input with the normally closed instruction: it lets pass while the bit is 0. */
    public boolean needsClosedInstruction() {
        return stops ? !atRest : !acted;
    }

    /** What the terminal reads, and therefore the instruction, in a sentence. */
    public String why() {
        String contactIs = device.isEmpty() ? "What is wired to " + terminal : device + " " + contact;
        String reads = contactIs + (atRest ? " conducts" : " does not conduct") + " at rest, so that " + terminal
                + " reads " + (atRest ? 1 : 0);
        String wants = stops
                ? "it has to let pass then"
                : "it has to let pass once it is actuated, when it reads " + (acted ? 1 : 0);
        return reads + "; " + wants + ": the normally " + (needsClosedInstruction() ? "closed" : "open")
                + " instruction.";
    }

    /**
     * What comes of reading it with one of the two instructions.
     *
     * @param closed whether with the normally closed one
     */
    public String effect(boolean closed) {
        boolean passesAtRest = atRest != closed;
        boolean passesActed = acted != closed;
        String rest = "At rest it " + (passesAtRest ? "lets pass" : "blocks") + ", actuated it "
                + (passesActed ? "lets pass" : "blocks") + ", with a broken wire it "
                + (closed ? "lets pass" : "blocks") + ". ";
        if (stops) {
            if (!passesAtRest) {
                return rest + "Nothing could be started unless " + named() + " is actuated: wrong.";
            }
            return rest
                    + (closed
                            ? "It stops, but a broken wire goes unnoticed: a contact that conducts at rest would be better."
                            : "It stops, and a broken wire stops too: right.");
        }
        if (passesAtRest) {
            return rest + "It acts although nobody touches " + named() + ": wrong.";
        }
        return rest + "It acts when " + named() + " is actuated, and a broken wire does nothing: right.";
    }

    private String named() {
        return device.isEmpty() ? terminal : device;
    }
}
