package parable.circuit;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * On what of a circuit a reading rests, so that it goes stale when a change can touch it and stays when none can.
 *
 * <p>A wire read from end to end rests on all terminals that its number joins and on the devices at its ends; tugged wires and a dial rest on their
 * device. Every other reading was taken through the circuit and rests on the whole of it.
 */
public final class Basis {

    private static final String DEAD = "dead: touch nothing: ";
    private static final Pattern WIRE = Pattern.compile("Ohms from (\\S+) (\\S+) to (\\S+) (\\S+)");
    private static final Pattern CONDUCTOR =
            Pattern.compile("Protective conductor from (\\S+) (\\S+) to (\\S+) ([^\\s,]+),.*");
    private static final Pattern WIRES = Pattern.compile("Tug the wires on ([^\\s,]+),.*");
    private static final Pattern DIAL = Pattern.compile("Read the dial of (\\S+)");

    private final Sheet sheet;
    private final Nodes nodes;
    private final String revision;

    private Basis(Sheet sheet) {
        this.sheet = sheet;
        nodes = Nodes.of(sheet);
        revision = Revision.of(sheet);
    }

    /** What readings of this sheet rest on. */
    public static Basis of(Sheet sheet) {
        return new Basis(sheet);
    }

    /** The revision of the whole. */
    public String revision() {
        return revision;
    }

    /** What a reading at this step rests on, twelve hexadecimal digits. */
    public String of(String step) {
        return local(step)
                .map(parts -> {
                    StringBuilder all = new StringBuilder();
                    parts.forEach(part -> Fingerprint.append(all, part));
                    return Fingerprint.of(all.toString()).substring(0, Revision.LETTERS);
                })
                .orElse(revision);
    }

    /** Whether a reading no longer says anything of this sheet, or never said of which circuit it was. */
    public boolean isStale(Reading reading) {
        return !reading.basis().equals(of(reading.step()));
    }

    /**
     * A sheet that differs from another in names only, its readings as good as they were there.
     *
     * @param after with the same readings in the same order, by their new names
     */
    public static Sheet carried(Sheet before, Sheet after) {
        if (before.fieldwork().readings().isEmpty()) {
            return after;
        }
        Basis then = of(before);
        Basis now = of(after);
        List<Reading> readings = new ArrayList<>();
        for (int i = 0; i < before.fieldwork().readings().size(); i++) {
            Reading renamed = after.fieldwork().readings().get(i);
            readings.add(
                    then.isStale(before.fieldwork().readings().get(i))
                            ? renamed
                            : renamed.renamed(renamed.step(), now.revision, now.of(renamed.step())));
        }
        return after.withFieldwork(after.fieldwork().withReadings(readings));
    }

    /** What a step rests on if that is not the whole. */
    private Optional<List<String>> local(String step) {
        if (!step.startsWith(DEAD)) {
            return Optional.empty();
        }
        String reads = step.substring(DEAD.length());
        Matcher dial = DIAL.matcher(reads);
        if (dial.matches()) {
            return Optional.of(List.of(device(dial.group(1), false)));
        }
        Matcher wires = WIRES.matcher(reads);
        if (wires.matches()) {
            List<String> parts = new ArrayList<>(List.of(device(wires.group(1), false)));
            nodes.all().stream()
                    .filter(node -> node.terminals().stream()
                            .anyMatch(terminal -> terminal.tag().equals(wires.group(1))))
                    .forEach(node -> parts.add(node.number() + " " + joined(node)));
            return Optional.of(parts);
        }
        Matcher wire = WIRE.matcher(reads);
        Matcher conductor = CONDUCTOR.matcher(reads);
        Matcher read = wire.matches() ? wire : conductor;
        return read == wire || conductor.matches() ? wire(read, read == conductor) : Optional.empty();
    }

    private Optional<List<String>> wire(Matcher ends, boolean byLength) {
        Optional<Integer> one = nodes.indexOf(new Terminal(ends.group(1), ends.group(2)));
        Optional<Integer> other = nodes.indexOf(new Terminal(ends.group(3), ends.group(4)));
        return one.isPresent() && one.equals(other)
                ? Optional.of(List.of(
                        joined(nodes.all().get(one.get())),
                        device(ends.group(1), byLength),
                        device(ends.group(3), byLength)))
                : Optional.empty();
    }

    private static String joined(Node node) {
        return node.terminals().stream().sorted().toList().toString();
    }

    private String device(String tag, boolean withPlace) {
        return sheet.devices().stream()
                .filter(device -> device.tag().equals(tag))
                .map(device -> Revision.words(device)
                        + (withPlace ? " " + device.place() + " " + device.at().map(Position::toString) : ""))
                .findFirst()
                .orElse(tag);
    }
}
