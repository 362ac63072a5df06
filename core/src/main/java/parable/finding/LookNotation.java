package parable.finding;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import parable.bench.Action;
import parable.bench.ActionRefusedException;
import parable.bench.Bench;
import parable.bench.Condition;
import parable.circuit.ProbePoint;
import parable.circuit.Terminal;
import parable.parts.Assembly;
import parable.parts.Family;
import parable.parts.LoadRole;
import parable.parts.Part;
import parable.parts.Verb;
import parable.testsheet.Glimpse;
import parable.testsheet.Observation;
import parable.testsheet.Phase;
import parable.testsheet.Situation;
import parable.testsheet.WiresAt;

/**
 * Looks and what was found at them as they are typed: what was done, a semicolon, what was looked at, an equals sign, what was found. So {@code close Q1, press S1; K1 out, P2 lit}, {@code close Q1, press S1, release S1, wait; F2 tripped},
 * {@code close Q1, press S1; volts K1:13 to 2 = 0 V}, {@code close Q1; volts dc 5 to 2 = 24 V}, {@code ...; clamp F2:2 = 4.9 A}, {@code dead; ohms K1:A1 to K1:A2 = open}, {@code dead, press S1; ohms ...},
 * {@code dead; dial F2 = 4.9 A}, {@code dead; wires K1 = 13 comes off}.
 */
public final class LookNotation {

    private static final String DEAD = "dead";
    private static final String NOTHING = "touch nothing";
    private static final String WAIT = "wait";
    private static final Pattern VOLTS = Pattern.compile("volts( dc)? (\\S+) to (\\S+)");
    private static final Pattern OHMS = Pattern.compile("ohms (\\S+) to (\\S+)");
    private static final Pattern CLAMP = Pattern.compile("clamp (\\S+:\\S+)");
    private static final Pattern DIAL = Pattern.compile("dial (\\S+)");
    private static final Pattern MEASURED = Pattern.compile("(?i).*\\d.*|open|ol|o\\.l\\.|inf");
    private static final Pattern WIRES = Pattern.compile("wires (.+)");
    private static final List<String> PROTECTION =
            List.of(Glimpse.PROTECTION + " opens", Glimpse.PROTECTION + " holds");
    private static final Pattern GLANCE = Pattern.compile("(\\S+) (\\S+)");
    private static final String EXPECTED =
            "'K1 out, P2 lit', 'volts K1:13 to 2', 'volts dc 5 to 2', 'ohms K1:A1 to K1:A2', 'clamp F2:2', 'dial F2' or 'wires K1'";

    private final Assembly assembly;

    /** For the looks at a panel. */
    public LookNotation(Assembly assembly) {
        this.assembly = assembly;
    }

    /**
     * Reads a look with what was found.
     *
     * @throws FindingException if it is none, or of what the sheet has not
     */
    public LookResult read(String text) throws FindingException {
        int semicolon = text.indexOf(';');
        Situation situation =
                situation(semicolon < 0 ? "" : text.substring(0, semicolon).strip());
        String rest = text.substring(semicolon + 1).strip();
        int equals = rest.indexOf('=');
        if (equals < 0) {
            List<String> seen = conditions(rest);
            return new LookResult(
                    new PanelLook(
                            situation,
                            new Glimpse(seen.stream()
                                    .map(one -> one.substring(0, one.indexOf(' ')))
                                    .toList())),
                    String.join(", ", seen));
        }
        String what = rest.substring(0, equals).strip();
        String found = rest.substring(equals + 1).strip();
        if (what.equals("look")) {
            return read((semicolon < 0 ? "" : text.substring(0, semicolon + 1)) + found);
        }
        if (found.isEmpty()) {
            throw new FindingException(what, "", "what was found, such as '0 V', 'open' or '4.9 A'");
        }
        PanelLook look = new PanelLook(situation, observation(what));
        if (look.observation() instanceof Observation.Ohms && !look.isDead()) {
            throw new FindingException(
                    what, "ohms on a live panel", "'dead' before it: ohms are measured on what is proved dead");
        }
        if (isMeasured(look.observation()) && !MEASURED.matcher(found).matches()) {
            throw new FindingException(what, found, "a number with its unit, such as '0 V', or 'open'");
        }
        return new LookResult(look, found);
    }

    /**
     * Reads what is to be looked at: {@code volts K1:13 to 2}, {@code clamp F2:2}, {@code wires K1}, or {@code look} for all that acts.
     *
     * @throws FindingException if that cannot be looked at on this sheet
     */
    public Observation read(Situation situation, String what) throws FindingException {
        Observation observation = what.equals("look") ? LookCatalogue.glance(assembly) : observation(what);
        if (observation instanceof Observation.Ohms && situation.phase() != Phase.DEAD) {
            throw new FindingException(
                    what, "ohms on a live panel", "it dead: ohms are measured on what is proved dead");
        }
        return observation;
    }

    /**
     * Reads what was found at a look.
     *
     * @throws FindingException if nothing like it can be found there
     */
    public LookResult read(PanelLook look, String found) throws FindingException {
        return new LookResult(look, read(text(look, found)).found());
    }

    private static boolean isMeasured(Observation observation) {
        return !(observation instanceof Observation.Wires || observation instanceof WiresAt);
    }

    /**
     * Reads what was done.
     *
     * @throws FindingException if that cannot be done on this sheet
     */
    public Situation situation(String text) throws FindingException {
        List<String> deeds = new ArrayList<>(List.of(text.split(",")));
        deeds.replaceAll(String::strip);
        deeds.removeIf(deed -> deed.isEmpty() || deed.equals(NOTHING));
        boolean waits = !deeds.isEmpty() && deeds.get(deeds.size() - 1).equals(WAIT);
        if (waits) {
            deeds.remove(deeds.size() - 1);
        }
        boolean dead = !deeds.isEmpty() && deeds.get(0).equals(DEAD);
        if (waits && dead) {
            throw new FindingException(
                    "what was done", WAIT, "the machine on: dead, nothing happens however long one waits");
        }
        Bench tried = Bench.of(assembly);
        List<Action> hands = new ArrayList<>();
        for (String deed : dead ? deeds.subList(1, deeds.size()) : deeds) {
            hands.add(action(deed, tried));
        }
        return new Situation(dead ? Phase.DEAD : Phase.MOTOR, hands, waits);
    }

    private static Action action(String deed, Bench tried) throws FindingException {
        String[] words = deed.replace(" to ", " ").split("\\s+");
        Optional<Verb> verb = Verb.ofWord(words[0]);
        if (verb.isEmpty() || words.length < 2 || words.length > 3) {
            throw new FindingException(
                    "what was done", deed, "deeds such as 'close Q1, press S1', 'wait' as the last of them, or 'dead'");
        }
        Action action = new Action(verb.get(), words[1], words.length == 3 ? words[2] : "");
        try {
            tried.act(action);
        } catch (ActionRefusedException impossible) {
            throw new FindingException("what was done", deed, impossible.getMessage());
        }
        return action;
    }

    private List<String> conditions(String text) throws FindingException {
        List<String> seen = new ArrayList<>();
        for (String one : text.split(",")) {
            Matcher glance = GLANCE.matcher(one.strip());
            if (!glance.matches()) {
                throw new FindingException(
                        "what was seen", one.strip(), EXPECTED + ", each but the first with = and what was found");
            }
            if (PROTECTION.contains(one.strip())) {
                seen.add(one.strip());
                continue;
            }
            Part part = part(glance.group(1));
            List<String> possible =
                    conditions(part).stream().map(Condition::word).toList();
            if (!possible.contains(glance.group(2))) {
                throw new FindingException(part.tag(), glance.group(2), "one of " + String.join(", ", possible));
            }
            seen.add(part.tag() + " " + glance.group(2));
        }
        return seen;
    }

    /** What can be seen of a device; of a button with a lamp, that. */
    static List<Condition> conditions(Part part) {
        boolean lamp = part.loads().stream().anyMatch(load -> load.role() == LoadRole.LAMP);
        return Condition.of(lamp ? Family.PILOT_LAMP : part.family());
    }

    private Observation observation(String what) throws FindingException {
        Matcher volts = VOLTS.matcher(what);
        if (volts.matches()) {
            return new Observation.Volts(place(volts.group(2)), place(volts.group(3)), volts.group(1) != null);
        }
        Matcher ohms = OHMS.matcher(what);
        if (ohms.matches()) {
            return new Observation.Ohms(place(ohms.group(1)), place(ohms.group(2)));
        }
        Matcher clamp = CLAMP.matcher(what);
        if (clamp.matches()) {
            Terminal terminal =
                    ProbePoint.read(place(clamp.group(1))).terminal().orElseThrow();
            return new Observation.Amperes(terminal);
        }
        Matcher dial = DIAL.matcher(what);
        if (dial.matches()) {
            if (part(dial.group(1)).heater().isEmpty()) {
                throw new FindingException(what, dial.group(1), "an overload relay with a dial");
            }
            return new Observation.Dial(dial.group(1));
        }
        Matcher wires = WIRES.matcher(what);
        if (wires.matches()) {
            List<String> there = LookCatalogue.wired(assembly).getOrDefault(wires.group(1), List.of());
            return there.isEmpty()
                    ? new Observation.Wires(part(wires.group(1)).tag())
                    : new WiresAt(wires.group(1), there);
        }
        throw new FindingException("what was looked at", what, EXPECTED);
    }

    private Part part(String tag) throws FindingException {
        return assembly.part(tag)
                .orElseThrow(() -> new FindingException(
                        "what was looked at",
                        tag,
                        "a device of the sheet: "
                                + assembly.parts().stream().map(Part::tag).collect(Collectors.joining(", "))));
    }

    private String place(String text) throws FindingException {
        Optional<Terminal> terminal = ProbePoint.read(text).terminal();
        boolean there = terminal.isPresent()
                ? assembly.nodes().indexOf(terminal.get()).isPresent()
                : assembly.nodes().all().stream().anyMatch(node -> node.number().equals(text));
        if (!there) {
            throw new FindingException("probe", text, "a wired terminal such as K1:13, or the number of a wire");
        }
        return text;
    }

    static String blank(PanelLook look) {
        return look.observation() instanceof Glimpse glimpse
                ? deeds(look) + "; " + String.join(" ..., ", glimpse.tags()) + " ..."
                : text(look, "...");
    }

    /** With what was found. */
    static String text(PanelLook look, String found) {
        return look.observation() instanceof Glimpse
                ? deeds(look) + "; " + found
                : deeds(look) + "; " + text(look.observation()) + " = " + found;
    }

    /** What is done first, as it is typed. */
    static String deeds(PanelLook look) {
        String hands = look.situation().hands().stream().map(Action::toString).collect(Collectors.joining(", "));
        if (look.isDead()) {
            return hands.isEmpty() ? DEAD : DEAD + ", " + hands;
        }
        String done = hands.isEmpty() ? NOTHING : hands;
        return look.situation().leftRunning() ? done + ", " + WAIT : done;
    }

    private static String text(Observation observation) {
        if (observation instanceof Observation.Volts volts) {
            return "volts " + (volts.direct() ? "dc " : "") + volts.red() + " to " + volts.parked();
        }
        if (observation instanceof Observation.Ohms ohms) {
            return "ohms " + ohms.red() + " to " + ohms.black();
        }
        if (observation instanceof Observation.Amperes clamp) {
            return "clamp " + clamp.at();
        }
        if (observation instanceof Observation.Dial dial) {
            return "dial " + dial.tag();
        }
        if (observation instanceof Observation.Wires wires) {
            return "wires " + wires.tag();
        }
        if (observation instanceof WiresAt wires) {
            return "wires " + wires.place();
        }
        throw new IllegalArgumentException("a look that nobody types: " + observation.words());
    }
}
