package parable.testsheet;

import java.util.List;
import java.util.Set;
import java.util.stream.Stream;
import parable.bench.Fault;

/**
 * Whether every wire on all devices of a place holds, and has the number that belongs on its terminal.
 *
 * @param tags the devices there
 */
public record WiresAt(String place, List<String> tags) implements Observation {

    static final String SOUND = "all hold, as listed";
    private static final Set<Fault.Kind> OFF = Set.of(Fault.Kind.LOOSE, Fault.Kind.OFF);
    private static final Set<Fault.Kind> ELSEWHERE = Set.of(Fault.Kind.MISPLACED, Fault.Kind.SWAPPED);

    public WiresAt {
        tags = List.copyOf(tags);
    }

    @Override
    public String words() {
        return "Tug every wire at the " + place + ", compare their numbers with the list";
    }

    @Override
    public Found at(StepRehearsal.Rest rest) {
        List<String> wrong = tags.stream()
                .flatMap(tag -> wrong(rest, tag).map(what -> tag + " " + what))
                .toList();
        return Found.words(wrong.isEmpty() ? SOUND : String.join(", ", wrong));
    }

    /** What is wrong with the wires of a device: {@code 13 comes off}. */
    static Stream<String> wrong(StepRehearsal.Rest rest, String tag) {
        return rest.faults().stream()
                .filter(fault -> fault.tag().equals(tag))
                .filter(fault -> OFF.contains(fault.kind()) || ELSEWHERE.contains(fault.kind()))
                .map(fault -> fault.place() + (OFF.contains(fault.kind()) ? " comes off" : " exchanged"))
                .sorted();
    }

    @Override
    public boolean accepts(Found expected, String written) {
        return WrittenReading.isSame(expected, written);
    }
}
