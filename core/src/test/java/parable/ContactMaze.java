package parable;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import parable.circuit.Circuit;
import parable.circuit.Device;
import parable.circuit.Duty;
import parable.circuit.Extras;
import parable.circuit.Rail;
import parable.circuit.Rung;
import parable.circuit.RungNotation;
import parable.circuit.RungSyntaxException;
import parable.circuit.Sheet;

/**
 * One contactor behind buttons put anywhere between a few points, in series, in parallel and as bridges: a random ladder of which it is plainly
 * known when the coil is fed.
 *
 * @param sheet the ladder
 * @param ends for each button, by its tag, the two points that its contact joins
 * @param resting the buttons whose contact is closed at rest
 */
public record ContactMaze(Sheet sheet, Map<String, List<String>> ends, Set<String> resting) {

    private static final String LIVE = "L";
    private static final String COIL = "@14";
    private static final List<String> POINTS = List.of(LIVE, "@11", "@12", "@13", COIL);

    /** A maze of as many buttons. */
    public static ContactMaze of(Random random, int buttons) {
        List<Device> devices = new ArrayList<>();
        devices.add(device("G1", "single-phase-supply", "voltage", "230 V AC"));
        devices.add(device("K1", "contactor", "coil", "230 V AC"));
        Map<String, List<String>> ends = new LinkedHashMap<>();
        Set<String> resting = new LinkedHashSet<>();
        List<String> rungs = new ArrayList<>(List.of(COIL + " K1[A1-A2] N"));
        for (int n = 1; n <= buttons; n++) {
            String tag = "S" + n;
            int one = random.nextInt(POINTS.size());
            int other = (one + 1 + random.nextInt(POINTS.size() - 1)) % POINTS.size();
            boolean closed = random.nextInt(4) == 0;
            devices.add(device(tag, "push-button", "blocks", closed ? "11-12" : "13-14"));
            if (closed) {
                resting.add(tag);
            }
            ends.put(tag, List.of(POINTS.get(one), POINTS.get(other)));
            rungs.add(POINTS.get(one) + " " + tag + (closed ? "[11-12] " : "[13-14] ") + POINTS.get(other));
        }
        Sheet sheet = new Sheet(
                        "Maze",
                        Duty.MAINTAINED,
                        List.of(new Rail("L", "1"), new Rail("N", "2")),
                        devices,
                        List.of(),
                        List.of(),
                        Extras.NONE)
                .withRungs(Circuit.CONTROL, read(rungs))
                .withRungs(Circuit.POWER, read(List.of("G1[L] L", "G1[N] N")));
        return new ContactMaze(sheet, ends, resting);
    }

    private static Device device(String tag, String kind, String setting, String value) {
        return new Device(tag, "", kind, "", "panel", Map.of(setting, value), Extras.NONE);
    }

    private static List<Rung> read(List<String> rungs) {
        List<Rung> read = new ArrayList<>();
        for (String rung : rungs) {
            try {
                read.add(new RungNotation(Set.of("L", "N")).read(rung));
            } catch (RungSyntaxException impossible) {
                throw new AssertionError(rung, impossible);
            }
        }
        return read;
    }

    /** Whether the contact of a button conducts. */
    public boolean conducts(String button, Set<String> pressed) {
        return pressed.contains(button) != resting.contains(button);
    }

    /** Whether the coil is fed: found by spreading from point to point until nothing is added. */
    public boolean isFed(Set<String> pressed) {
        Set<String> live = new LinkedHashSet<>(Set.of(LIVE));
        boolean grows = true;
        while (grows) {
            grows = false;
            for (Map.Entry<String, List<String>> button : ends.entrySet()) {
                boolean meets = button.getValue().stream().anyMatch(live::contains);
                if (meets && conducts(button.getKey(), pressed)) {
                    grows |= live.addAll(button.getValue());
                }
            }
        }
        return live.contains(COIL);
    }

    /** Some of the buttons, at random. */
    public Set<String> some(Random random) {
        Set<String> some = new LinkedHashSet<>();
        ends.keySet().forEach(tag -> {
            if (random.nextBoolean()) {
                some.add(tag);
            }
        });
        return some;
    }
}
