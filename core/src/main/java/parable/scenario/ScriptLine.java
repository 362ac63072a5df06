package parable.scenario;

import java.util.Arrays;
import java.util.Optional;
import java.util.stream.Collectors;
import parable.bench.Condition;
import parable.bench.Fault;
import parable.circuit.ProbePoint;
import parable.circuit.Terminal;
import parable.network.NodeState;

/** Takes one line of a script apart, word by word. */
final class ScriptLine {

    private static final long LONGEST = 24L * 3600 * 1_000_000;

    private final int number;
    private final String[] words;
    private int next;

    ScriptLine(int number, String text) {
        this.number = number;
        int comment = text.indexOf('#');
        String script = (comment < 0 ? text : text.substring(0, comment))
                .replace(",", " , ")
                .strip();
        words = script.isEmpty() ? new String[0] : script.split("\\s+");
    }

    int number() {
        return number;
    }

    boolean isEmpty() {
        return words.length == 0;
    }

    ScenarioException refused(String found, String expected) {
        return new ScenarioException(number, found, expected);
    }

    /** The next word; refused with what was expected if the line is over. */
    String word(String expected) throws ScenarioException {
        if (next == words.length) {
            throw refused("nothing more", expected);
        }
        return words[next++];
    }

    /** A time: {@code 0}, {@code 100 ms}, {@code 1.5 s}, {@code 2 min}; in microseconds. */
    long time() throws ScenarioException {
        double number = number("a time such as '0', '100 ms' or '1.5 s'");
        if (number == 0 && !(next < words.length && words[next].matches("ms|s|min"))) {
            return 0;
        }
        String unit = word("ms, s or min");
        double microseconds = number
                * switch (unit) {
                    case "ms" -> 1e3;
                    case "s" -> 1e6;
                    case "min" -> 60e6;
                    default -> throw refused(unit, "ms, s or min");
                };
        if (microseconds > LONGEST) {
            throw refused(number + " " + unit, "a time within 24 hours");
        }
        return Math.round(microseconds);
    }

    private double number(String expected) throws ScenarioException {
        String word = word(expected);
        if (!word.matches("\\d{1,9}(\\.\\d+)?")) {
            throw refused(word, expected);
        }
        return Double.parseDouble(word);
    }

    /** A whole number of per cent, such as {@code 120 %} or {@code 120}. */
    String percentage() throws ScenarioException {
        String number = word("a load in per cent");
        if (next < words.length && words[next].equals("%")) {
            next++;
        }
        return number;
    }

    /** A fault: the device, the contact or terminal if it is one of those, and what is wrong. */
    Fault fault() throws ScenarioException {
        String tag = word("the tag of a device");
        String second = word("a contact, a terminal, or what is wrong");
        Optional<Fault.Kind> ofDevice = Fault.Kind.ofWord(second);
        String kind = ofDevice.isPresent() && next == words.length ? second : word("what is wrong");
        end();
        return new Fault(
                Fault.Kind.ofWord(kind)
                        .orElseThrow(() -> refused(
                                kind,
                                Arrays.stream(Fault.Kind.values())
                                        .map(Fault.Kind::word)
                                        .collect(Collectors.joining(", ")))),
                tag,
                kind.equals(second) ? "" : second);
    }

    Expectation expectation() throws ScenarioException {
        String first = word("what is expected, such as 'K1 in'");
        return switch (first) {
            case "volts" -> volts();
            case "amperes" -> amperes();
            case "wire" -> wire();
            case "nothing" -> nothing();
            default -> device(first);
        };
    }

    private Expectation volts() throws ScenarioException {
        String one = word("a wire number");
        String other = word("another wire number");
        double[] range = range();
        return new Expectation.VoltsBetween(one, other, range[0], range[1]);
    }

    private Expectation amperes() throws ScenarioException {
        String place = word("a terminal such as M1:U1");
        Terminal at = ProbePoint.read(place).terminal().orElseThrow(() -> refused(place, "a terminal such as M1:U1"));
        double[] range = range();
        return new Expectation.AmperesBetween(at, range[0], range[1]);
    }

    private double[] range() throws ScenarioException {
        String between = word("'between'");
        if (!between.equals("between")) {
            throw refused(between, "'between'");
        }
        double lowest = number("the lowest reading");
        double highest = number("the highest reading");
        if (highest < lowest) {
            throw refused(lowest + " " + highest, "the lower reading first");
        }
        return new double[] {lowest, highest};
    }

    private Expectation wire() throws ScenarioException {
        String wire = word("a wire number");
        String words = rest();
        return Arrays.stream(NodeState.values())
                .filter(state -> state.words().equals(words))
                .findFirst()
                .map(state -> new Expectation.WireIs(wire, state))
                .orElseThrow(() -> refused(
                        words,
                        Arrays.stream(NodeState.values()).map(NodeState::words).collect(Collectors.joining(", "))));
    }

    private String rest() {
        StringBuilder rest = new StringBuilder();
        while (next < words.length && !words[next].equals(",")) {
            rest.append(rest.isEmpty() ? "" : " ").append(words[next++]);
        }
        return rest.toString();
    }

    private Expectation nothing() throws ScenarioException {
        String what = word("'shorted' or 'was shorted'");
        if (what.equals("was")) {
            String then = word("'shorted'");
            if (!then.equals("shorted")) {
                throw refused(then, "'shorted'");
            }
            return new Expectation.NothingWasShorted();
        }
        if (!what.equals("shorted")) {
            throw refused(what, "'shorted' or 'was shorted'");
        }
        return new Expectation.NothingShorted();
    }

    private Expectation device(String tag) throws ScenarioException {
        String word = word("the condition of " + tag);
        Optional<Condition> condition = Condition.ofWord(word);
        return new Expectation.DeviceIs(
                tag,
                condition.orElseThrow(() -> refused(
                        word,
                        Arrays.stream(Condition.values()).map(Condition::word).collect(Collectors.joining(", ")))));
    }

    /** Whether a comma follows; it is taken. */
    boolean comma() {
        boolean comma = next < words.length && words[next].equals(",");
        next += comma ? 1 : 0;
        return comma;
    }

    /** Refuses a line that goes on. */
    void end() throws ScenarioException {
        if (next < words.length) {
            throw refused(words[next], "the end of the line");
        }
    }
}
