package parable.training;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import parable.bench.Action;
import parable.bench.Fault;
import parable.bench.Moment;
import parable.finding.FaultSearch;
import parable.finding.FindingException;
import parable.finding.LookNotation;
import parable.finding.LookResult;
import parable.finding.PanelLook;
import parable.finding.ShortestWay;
import parable.finding.Suspect;
import parable.parts.Assembly;
import parable.parts.Contact;
import parable.parts.Family;
import parable.parts.Part;
import parable.ratings.RatingTables;
import parable.testsheet.Coverage;
import parable.testsheet.Observation;
import parable.testsheet.Phase;
import parable.testsheet.Situation;
import parable.testsheet.StepRehearsal;

/** A panel in which something is hidden: it is operated, looked at, measured, taken apart, until somebody says what it is. */
final class FindExercise implements Exercise {

    private static final Set<Fault.Kind> OF_WIRES =
            Set.of(Fault.Kind.OFF, Fault.Kind.LOOSE, Fault.Kind.EARTHED, Fault.Kind.MISPLACED, Fault.Kind.SWAPPED);
    private static final Set<Fault.Kind> OF_THE_DIAL = Set.of(Fault.Kind.MISSET, Fault.Kind.UNDERSET);
    private static final Set<Fault.Kind> TIGHTENED = Set.of(Fault.Kind.OFF, Fault.Kind.LOOSE);

    private final Assembly assembly;
    private final LookNotation notation;
    private final FaultSearch search;
    private final HiddenFaults hidden;
    private final List<Fault> inside;
    private final List<Fault> named = new ArrayList<>();

    /** Wires that were lifted, and contacts that were bridged. */
    private final List<Fault> acts = new ArrayList<>();

    private final List<String> dangers = new ArrayList<>();
    private Situation now = new Situation(Phase.MOTOR, List.of());
    private Situation last = now;
    private StepRehearsal panel;
    private Optional<ShortestWay> way = Optional.empty();
    private int looks;
    private double minutes;
    private int wrong;
    private int inVain;
    private boolean givenUp;

    FindExercise(Assembly assembly, FaultSearch search, HiddenFaults hidden) {
        this.assembly = assembly;
        this.search = search;
        this.hidden = hidden;
        notation = new LookNotation(assembly);
        inside = new ArrayList<>(hidden.faults());
        panel = new StepRehearsal(assembly, inside);
    }

    static FindExercise of(Assembly assembly, RatingTables tables, String detail, long seed) throws FindingException {
        FaultSearch search = FaultSearch.of(assembly, tables, FaultSearch.Knowledge.NONE);
        Optional<Level> level = Level.ofWord(detail);
        if (level.isPresent()) {
            return new FindExercise(assembly, search, HiddenFaults.of(assembly, search, level.get(), seed));
        }
        List<Fault> faults = new ArrayList<>();
        for (String one : detail.split(",")) {
            faults.add(FaultWords.read(assembly, one.strip()));
        }
        return new FindExercise(assembly, search, HiddenFaults.of(assembly, search, faults));
    }

    @Override
    public List<String> brief() {
        return List.of(
                "What was told: " + hidden.symptom().text() + ".",
                hidden.faults().size() == 1
                        ? "One thing is wrong."
                        : hidden.faults().size() + " things are wrong.");
    }

    @Override
    public List<String> manual() {
        return List.of(
                "Operate: close Q1, press S1, release S1 (each from here on); wait leaves it like that for some minutes; rest begins again. look tells what each device does.",
                "Measure: volts K1:A1 to 2, volts dc 5 to 2, clamp F2:2; dead, then ohms K1:A1 to K1:A2, wires K1, dial F2; live.",
                "Work, dead only: lift K1:A1, land K1:A1, tighten K1:A1, exchange K1, set F2, bridge S1:13-14, unbridge S1:13-14.",
                "Say what it is: it is K1:A1 off (or burnt, broken, welded, loose, ...). give up ends it.");
    }

    @Override
    public List<MoveOffer> offers() {
        List<MoveOffer> offers = new ArrayList<>();
        search.situations().stream()
                .flatMap(situation -> situation.hands().stream())
                .map(Action::toString)
                .distinct()
                .forEach(deed -> offers.add(new MoveOffer("Operate", deed, deed)));
        offers.addAll(List.of(
                new MoveOffer("Operate", "wait some minutes", "wait"),
                new MoveOffer("Operate", "all at rest again", "rest"),
                new MoveOffer("Look and measure", "Look", "look"),
                new MoveOffer("Look and measure", "Volts", "volts {1} to {2}"),
                new MoveOffer("Look and measure", "Volts DC", "volts dc {1} to {2}"),
                new MoveOffer("Look and measure", "Ohms", "ohms {1} to {2}"),
                new MoveOffer("Look and measure", "Clamp", "clamp {1}"),
                new MoveOffer("Look and measure", "Tug wires", "wires {1}"),
                new MoveOffer("Look and measure", "Dial", "dial {1}"),
                new MoveOffer("Work", "Make it dead", "dead"),
                new MoveOffer("Work", "Switch on", "live"),
                new MoveOffer("Work", "Lift wire", "lift {1}"),
                new MoveOffer("Work", "Land wire", "land {1}"),
                new MoveOffer("Work", "Tighten", "tighten {1}"),
                new MoveOffer("Work", "Exchange", "exchange {1}"),
                new MoveOffer("Work", "Set dial", "set {1}"),
                new MoveOffer("Work", "Bridge", "bridge {1}"),
                new MoveOffer("Work", "Unbridge", "unbridge {1}"),
                new MoveOffer("What it is", "It is", "it is {fault}"),
                new MoveOffer("What it is", "Give up", "give up")));
        return offers;
    }

    @Override
    public List<String> faultsOf(String place) {
        String tag = place.strip().split(":", 2)[0];
        return Coverage.possible(assembly).stream()
                .filter(fault -> fault.tag().equals(tag))
                .map(FaultWords::of)
                .toList();
    }

    @Override
    public List<String> move(String text) throws FindingException {
        String move = text.strip();
        int space = move.indexOf(' ');
        String word = space < 0 ? move : move.substring(0, space);
        String rest = space < 0 ? "" : move.substring(space + 1).strip();
        return switch (word) {
            case "dead" -> switched(Phase.DEAD, "Switched off, locked and proved dead.");
            case "live" -> switched(Phase.MOTOR, "On again, and at rest.");
            case "rest" -> {
                now = new Situation(now.phase(), List.of());
                yield List.of("At rest.");
            }
            case "wait" -> waited();
            case "look", "volts", "ohms", "clamp", "dial", "wires" -> look(move);
            case "lift" -> lifted(terminal(rest));
            case "land" -> landed(terminal(rest));
            case "tighten" -> tightened(terminal(rest));
            case "exchange" -> exchanged(rest);
            case "set" -> set(rest);
            case "bridge" -> bridged(contact(rest));
            case "unbridge" -> unbridged(contact(rest));
            case "it" -> said(rest.startsWith("is ") ? rest.substring(3) : rest);
            case "give" -> {
                givenUp = true;
                yield List.of("It was: " + new Suspect(hidden.faults()).words() + ".");
            }
            default -> operated(move);
        };
    }

    @Override
    public Optional<Moment> asDrawn() {
        return Optional.of(new StepRehearsal(assembly, acts).rest(now).moment());
    }

    private List<String> switched(Phase phase, String words) {
        minutes += now.phase() == phase ? 0 : search.minutes("dead");
        now = new Situation(phase, List.of());
        return List.of(words);
    }

    private List<String> waited() throws FindingException {
        if (now.phase() == Phase.DEAD) {
            throw new FindingException("wait", "a dead panel", "it on: dead, nothing happens however long one waits");
        }
        now = now.leftToItself();
        return look("look");
    }

    private List<String> operated(String move) throws FindingException {
        if (now.leftRunning()) {
            throw new FindingException("after waiting", move, "'rest' first, to begin again, or 'dead'");
        }
        String before = now.hands().stream().map(Action::toString).collect(Collectors.joining(", "));
        String prefix = now.phase() == Phase.DEAD ? "dead, " : "";
        Situation next = notation.situation(prefix + (before.isEmpty() ? "" : before + ", ") + move);
        now = next;
        if (panel.rest(now).wasShorted() && now.phase() != Phase.DEAD) {
            dangers.add("A short circuit was made by " + move + ".");
        }
        return look("look");
    }

    private List<String> look(String what) throws FindingException {
        if (what.startsWith("ohms") && now.phase() != Phase.DEAD) {
            dangers.add("Ohms on a live panel: " + what + ".");
            return List.of(
                    "The meter is set to ohms on a live panel: that breaks it, and may break you. Make it dead first.");
        }
        Observation observation = notation.read(now, what);
        if (what.startsWith("wires") && isLive()) {
            return handInLive(what);
        }
        looks++;
        minutes += search.minutes(new PanelLook(now, observation), last);
        last = now;
        return List.of(observation.at(panel.rest(now)).text());
    }

    private List<String> handInLive(String what) {
        dangers.add("A hand into live parts: " + what + ".");
        return List.of("Not on a live panel: switch it off, lock it and prove it dead first.");
    }

    private boolean isLive() {
        return now.phase() != Phase.DEAD;
    }

    private String[] terminal(String place) throws FindingException {
        String[] sides = place.split(":");
        if (sides.length != 2 || assembly.part(sides[0]).isEmpty()) {
            throw new FindingException("terminal", place, "one such as K1:A1");
        }
        return sides;
    }

    private Fault contact(String place) throws FindingException {
        String[] sides = terminal(place);
        boolean there = assembly.part(sides[0]).orElseThrow().contacts().stream()
                .map(Contact::marking)
                .anyMatch(sides[1]::equals);
        if (!there) {
            throw new FindingException("contact", place, "one such as S1:13-14");
        }
        return new Fault(Fault.Kind.WELDED, sides[0], sides[1]);
    }

    private void changed() {
        List<Fault> all = new ArrayList<>(inside);
        acts.stream().filter(act -> !all.contains(act)).forEach(all::add);
        panel = new StepRehearsal(assembly, all);
        now = new Situation(now.phase(), List.of());
    }

    private List<String> lifted(String[] at) {
        if (isLive()) {
            return handInLive("lifting a wire");
        }
        minutes += search.minutes("lift");
        acts.add(new Fault(Fault.Kind.OFF, at[0], at[1]));
        changed();
        return List.of(
                "The wires of " + at[0] + ":" + at[1] + " are off. Put them back before the panel is switched on.");
    }

    private List<String> landed(String[] at) {
        if (isLive()) {
            return handInLive("landing a wire");
        }
        minutes += search.minutes("lift");
        acts.remove(new Fault(Fault.Kind.OFF, at[0], at[1]));
        changed();
        return List.of("On again.");
    }

    private List<String> tightened(String[] at) {
        if (isLive()) {
            return handInLive("tightening a terminal");
        }
        minutes += search.minutes("tighten");
        boolean was = inside.removeIf(fault -> TIGHTENED.contains(fault.kind())
                && fault.tag().equals(at[0])
                && fault.place().equals(at[1]));
        changed();
        return List.of(was ? "It moved under the screwdriver. It is tight now." : "It was tight.");
    }

    private List<String> exchanged(String tag) throws FindingException {
        if (assembly.part(tag).isEmpty()) {
            throw new FindingException("exchange", tag, "a device of the sheet");
        }
        if (isLive()) {
            return handInLive("exchanging " + tag);
        }
        minutes += search.minutes("exchange");
        boolean was = inside.removeIf(fault ->
                fault.tag().equals(tag) && !OF_WIRES.contains(fault.kind()) && !OF_THE_DIAL.contains(fault.kind()));
        inVain += was ? 0 : 1;
        changed();
        return List.of("A new " + tag + " is in. Whether that was it, the machine tells.");
    }

    private List<String> set(String tag) throws FindingException {
        if (assembly.part(tag).flatMap(Part::heater).isEmpty()) {
            throw new FindingException("set", tag, "an overload relay with a dial");
        }
        minutes += search.minutes("set");
        inside.removeIf(
                fault -> OF_THE_DIAL.contains(fault.kind()) && fault.tag().equals(tag));
        changed();
        return List.of("The dial is where the drawing has it.");
    }

    private List<String> bridged(Fault contact) {
        Family family = assembly.part(contact.tag()).orElseThrow().family();
        if (family == Family.EMERGENCY_STOP || family == Family.OVERLOAD_RELAY) {
            dangers.add("A lead across " + contact.tag() + ": what keeps people and motor safe is bridged.");
        }
        if (isLive()) {
            return handInLive("putting a lead across " + contact.tag());
        }
        minutes += search.minutes("bridge");
        acts.add(contact);
        changed();
        return List.of(
                "A lead is across " + contact.tag() + ":" + contact.place() + ". Take it away before you leave.");
    }

    private List<String> unbridged(Fault contact) {
        if (isLive()) {
            return handInLive("taking a lead away from " + contact.tag());
        }
        minutes += search.minutes("bridge");
        acts.remove(contact);
        changed();
        return List.of("The lead is away.");
    }

    private List<String> said(String what) throws FindingException {
        Fault said = FaultWords.read(assembly, what);
        Optional<Fault> right = hidden.faults().stream()
                .filter(fault -> !named.contains(fault))
                .filter(fault -> isSameMend(fault, said))
                .findFirst();
        if (right.isEmpty() && hidden.faults().size() == 1 && isToldApartByNobody(said)) {
            right = Optional.of(hidden.faults().get(0));
        }
        if (right.isEmpty()) {
            wrong++;
            return List.of("No: " + said.words() + " is not it.");
        }
        named.add(right.get());
        int left = hidden.faults().size() - named.size();
        return List.of("Yes: " + right.get().words() + "." + (left == 0 ? "" : " That was one; " + left + " left."));
    }

    /** A wire that is off and one that is loose are put back and tightened alike. */
    private static boolean isSameMend(Fault one, Fault other) {
        return one.equals(other)
                || one.tag().equals(other.tag())
                        && one.place().equals(other.place())
                        && TIGHTENED.contains(one.kind())
                        && TIGHTENED.contains(other.kind());
    }

    private boolean isToldApartByNobody(Fault said) {
        return way().verdict().contains(Suspect.of(said));
    }

    private ShortestWay way() {
        if (way.isEmpty()) {
            way = Optional.of(ShortestWay.of(assembly, search.with(hidden.symptom()), hidden.faults()));
        }
        return way.get();
    }

    @Override
    public boolean isOver() {
        return givenUp || named.size() == hidden.faults().size();
    }

    @Override
    public Score score() {
        List<String> all = new ArrayList<>(dangers);
        acts.stream()
                .map(act -> act.kind() == Fault.Kind.OFF
                        ? "The wires of " + act.tag() + ":" + act.place() + " were left off."
                        : "A lead was left across " + act.tag() + ":" + act.place() + ".")
                .forEach(all::add);
        return new Score(!givenUp && isOver(), looks, minutes, wrong, inVain, all);
    }

    @Override
    public BestWay best() {
        return new BestWay(way().looks().stream().map(LookResult::text).toList(), way().minutes());
    }

    @Override
    public List<String> solution() {
        List<String> moves = new ArrayList<>();
        for (var look : way().looks()) {
            PanelLook made = look.look();
            moves.add(made.isDead() ? "dead" : "live");
            moves.add("rest");
            made.situation().hands().forEach(hand -> moves.add(hand.toString()));
            String text = look.text();
            int equals = text.indexOf(" = ");
            moves.add(
                    equals < 0
                            ? "look"
                            : text.substring(text.indexOf(';') + 1, equals).strip());
        }
        hidden.faults().forEach(fault -> moves.add("it is " + FaultWords.of(fault)));
        return moves;
    }
}
