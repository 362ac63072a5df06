package parable.plc;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import parable.circuit.Device;
import parable.circuit.Duty;
import parable.circuit.Extras;
import parable.circuit.Sheet;
import parable.parts.ControllerField;
import parable.program.Address;
import parable.program.Program;

/** A sheet for a program that came without one. */
public final class ProgramSheet {

    private static final int LEAST = 8;
    private static final int GROUP = 4;

    private ProgramSheet() {}

    /** A sheet with nothing on it but a controller that has the terminals which the program needs, as far as there is such a controller. */
    public static Sheet of(Program program) {
        int inputs = Math.max(LEAST, last(program, Address.Area.INPUT) + 1);
        int outputs = Math.max(LEAST, GROUP * ((last(program, Address.Area.OUTPUT) + GROUP) / GROUP));
        Map<String, String> settings = new LinkedHashMap<>();
        settings.put("inputs", Integer.toString(Math.min(24, inputs)));
        settings.put("outputs", Integer.toString(Math.min(16, outputs)));
        Device controller = new Device("A1", "", "controller", "Controller", "panel", settings, Extras.NONE);
        return new Sheet(
                        program.name().replace('_', ' '),
                        Duty.MAINTAINED,
                        List.of(),
                        List.of(controller),
                        List.of(),
                        List.of(),
                        Extras.NONE)
                .withProgram(Optional.of(program));
    }

    private static int last(Program program, Address.Area area) {
        return program.variables().stream()
                .map(variable -> ControllerField.number(variable, area))
                .flatMapToInt(OptionalInt::stream)
                .max()
                .orElse(-1);
    }
}
