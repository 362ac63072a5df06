package parable;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import parable.circuit.Sheet;

/**
 * Circuits for tests, many to a file and each in a few lines: a name behind {@code ==}, then {@code why}, {@code raises} and {@code duty} lines,
 * the supply, motors and devices, and behind {@code rungs} the ladder. What stands in every starter (supply, breaker, control fuse, the leads
 * of a motor) is written by a word: {@code supply 400}, {@code motor M1 K1 F2}, {@code reverse M1 K2}.
 */
public final class Sketches {

    private static final Map<String, Map<String, String>> SHORT = Map.ofEntries(
            Map.entry("stop", Map.of("kind", "push-button", "blocks", "11-12", "colour", "red")),
            Map.entry("start", Map.of("kind", "push-button", "blocks", "13-14", "colour", "green")),
            Map.entry("button", Map.of("kind", "push-button", "colour", "black")),
            Map.entry("estop", Map.of("kind", "emergency-stop", "blocks", "11-12")),
            Map.entry("relay", Map.of("kind", "control-relay", "coil", "230 V AC")),
            Map.entry("contactor", Map.of("kind", "contactor", "coil", "230 V AC", "aux", "13-14")),
            Map.entry("timer", Map.of("kind", "timer", "coil", "230 V AC", "setting", "5 s")),
            Map.entry("overload", Map.of("kind", "overload-relay", "setting", "4.9 A")),
            Map.entry("lamp", Map.of("kind", "pilot-lamp", "lamp", "230 V AC")),
            Map.entry("breaker", Map.of("kind", "circuit-breaker")),
            Map.entry("interlock", Map.of("kind", "mechanical-interlock")),
            Map.entry("motor3", Map.of("kind", "three-phase-motor", "voltage", "400 V AC", "power", "2.2 kW")));

    /**
     * A circuit with what is expected of it.
     *
     * @param name what it is called
     * @param why why it is sound, or what is wrong with it
     * @param raises ids of claims that do not hold and codes of rules that speak, each as much of it as is to be looked for
     */
    public record Sketch(String name, String why, List<String> raises, Sheet sheet) {
        @Override
        public String toString() {
            return name;
        }
    }

    private final Map<String, ObjectNode> devices = new LinkedHashMap<>();
    private final List<String> power = new ArrayList<>();
    private final List<String> rungs = new ArrayList<>();
    private final ObjectNode rails = JsonNodeFactory.instance.objectNode();
    private final List<String> raises = new ArrayList<>();
    private String why = "";
    private String duty = "maintained";

    private Sketches() {}

    /** The circuits of a file in {@code circuits}. */
    public static Stream<Sketch> in(String file) {
        try (InputStream stream = Sketches.class.getResourceAsStream("/circuits/" + file + ".txt")) {
            String text = new String(stream.readAllBytes(), StandardCharsets.UTF_8);
            return Stream.of(text.split("(?m)^== ")).skip(1).map(Sketches::sketch);
        } catch (IOException unreadable) {
            throw new AssertionError(file, unreadable);
        }
    }

    /** The circuit of this name in a file. */
    public static Sheet sheet(String file, String name) {
        return in(file).filter(sketch -> sketch.name().equals(name))
                .findFirst()
                .orElseThrow(() -> new AssertionError(file + " has no " + name))
                .sheet();
    }

    private static Sketch sketch(String text) {
        String[] lines = text.split("\n");
        Sketches sketch = new Sketches();
        boolean rungs = false;
        for (int i = 1; i < lines.length; i++) {
            String line = lines[i].strip();
            if (line.equals("rungs")) {
                rungs = true;
            } else if (!line.isEmpty() && rungs) {
                sketch.rungs.add(line);
            } else if (!line.isEmpty()) {
                sketch.read(line);
            }
        }
        try {
            return new Sketch(lines[0].strip(), sketch.why, sketch.raises, sketch.sheet(lines[0].strip()));
        } catch (AssertionError | RuntimeException broken) {
            throw new AssertionError("circuit " + lines[0].strip(), broken);
        }
    }

    private void read(String line) {
        String[] words = line.split("\\s+", 2);
        String rest = words.length > 1 ? words[1] : "";
        switch (words[0]) {
            case "why:" -> why = rest;
            case "raises:" -> raises.addAll(List.of(rest.split(",\\s*")));
            case "duty:" -> duty = rest;
            case "supply" -> supply(rest.split(" "));
            case "motor" -> motor(rest.split(" "));
            case "reverse" -> reverse(rest.split(" "));
            case "power" -> power.add(rest);
            case "rail" -> rails.put(rest.split(" ")[0], rest.split(" ")[1]);
            default -> device(words[0], rest);
        }
    }

    private void device(String tag, String rest) {
        String[] parts = rest.split("\\s+", 2);
        ObjectNode node = devices.computeIfAbsent(tag, any -> JsonNodeFactory.instance.objectNode());
        node.put("tag", tag);
        SHORT.getOrDefault(parts[0], Map.of("kind", parts[0])).forEach(node::put);
        for (String setting : parts.length > 1 ? parts[1].split(";\\s*") : new String[0]) {
            String[] sides = setting.split("=", 2);
            node.put(sides[0].strip(), sides[1].strip());
        }
    }

    /** {@code 400} for line and neutral behind breaker and fuse; with {@code 24} a DC supply on rails P and M besides. */
    private void supply(String[] words) {
        device("G1", "three-phase-supply voltage=400 V AC");
        device("Q1", "circuit-breaker rated=16 A");
        device("F1", "fuse rated=2 A");
        rails.put("L", "1");
        rails.put("N", "2");
        for (int line = 1; line <= 3; line++) {
            power.add("G1[L" + line + "] @L" + line + " Q1[" + (2 * line - 1) + "-" + 2 * line + "] @1L" + line);
        }
        power.add("@1L1 F1[1-2] L");
        power.add("G1[N] N");
        if (words.length > 1) {
            device("G2", "dc-supply input=230 V AC; output=24 V DC");
            device("F9", "fuse rated=4 A");
            rails.put("P", "91");
            rails.put("M", "92");
            power.add("L G2[L-N] N");
            power.add("G2[+] @90 F9[1-2] P");
            power.add("G2[-] M");
        }
    }

    private void motor(String[] tags) {
        device(tags[0], "motor3");
        device(tags[2], "overload");
        String[] leads = {"U1", "V1", "W1"};
        for (int line = 0; line < 3; line++) {
            String pole = "[" + (2 * line + 1) + "-" + (2 * line + 2) + "]";
            String lead = leads[line];
            power.add("@1L" + (line + 1) + " " + tags[1] + pole + " @" + tags[0] + "a" + (line + 1) + " " + tags[2]
                    + pole + " @" + tags[0] + lead + " " + tags[0] + "[" + lead + "]");
        }
        power.add("G1[PE] @PE " + tags[0] + "[PE]");
    }

    private void reverse(String[] tags) {
        for (int line = 0; line < 3; line++) {
            String pole = "[" + (2 * line + 1) + "-" + (2 * line + 2) + "]";
            power.add("@1L" + (line + 1) + " " + tags[1] + pole + " @" + tags[0] + "a" + (3 - line));
        }
    }

    private Sheet sheet(String name) {
        ObjectNode sheet = JsonNodeFactory.instance.objectNode();
        sheet.put("name", name);
        sheet.put("duty", duty);
        sheet.set("rails", rails);
        ArrayNode list = sheet.putArray("devices");
        devices.values().forEach(list::add);
        power.forEach(sheet.putArray("power")::add);
        rungs.forEach(sheet.putArray("rungs")::add);
        ObjectNode job = JsonNodeFactory.instance.objectNode();
        job.put("version", 1);
        job.put("name", "Tern Hollow press house");
        job.putArray("sheets").add(sheet);
        return Examples.read(job.toString()).sheets().get(0);
    }
}
