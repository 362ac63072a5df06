package parable.testsheet;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import parable.bench.Action;
import parable.bench.Condition;
import parable.bench.Moment;
import parable.circuit.Practice;
import parable.circuit.Rung;
import parable.circuit.Terminal;
import parable.parts.Assembly;
import parable.parts.CurrentKind;
import parable.parts.Family;
import parable.parts.Load;
import parable.parts.LoadRole;
import parable.parts.Part;
import parable.parts.Source;
import parable.parts.Verb;

/** The steps on a panel that is operated: what is seen, how long it takes, volts and amperes. */
final class OperatedSteps {

    private static final Set<Family> ACTING = Set.of(
            Family.CONTACTOR,
            Family.CONTROL_RELAY,
            Family.TIMER,
            Family.PILOT_LAMP,
            Family.HORN,
            Family.SOLENOID,
            Family.MOTOR,
            Family.OVERLOAD_RELAY,
            Family.CONTROLLER);

    /** Later than this, in s, something waits for a timer or a machine and is worth a stopwatch. */
    private static final double TIMED = 0.5;

    private final Steps steps;
    private final Assembly assembly;
    private final Situations situations;
    private final ProbedRungs probed;
    private final Phase phase;
    private final List<Situation> tried = new ArrayList<>();
    private final Optional<Observation.Loop> loop;

    OperatedSteps(Steps steps, Phase phase, Practice practice) {
        this.steps = steps;
        loop = phase == Phase.CONTROL ? new FaultLoop(steps.assembly(), practice).step() : Optional.empty();
        this.assembly = steps.assembly();
        this.phase = phase;
        situations = new Situations(assembly);
        probed = new ProbedRungs(assembly);
    }

    private List<String> acting() {
        return assembly.parts().stream()
                .filter(part -> ACTING.contains(part.family()) || isLamp(part))
                .filter(part -> phase == Phase.MOTOR || part.family() != Family.MOTOR)
                .map(Part::tag)
                .toList();
    }

    private static boolean isLamp(Part part) {
        return part.loads().stream().anyMatch(load -> load.role() == LoadRole.LAMP);
    }

    private void look(Situation situation) {
        steps.add(situation, new Observation.Glance(acting()));
    }

    private boolean looksAlike(Situation one, Situation other) {
        Observation look = new Observation.Glance(acting());
        return look.at(steps.sound().rest(one)).equals(look.at(steps.sound().rest(other)));
    }

    /** Adds them, in the order in which they are done. */
    void add() {
        if (phase == Phase.CONTROL) {
            Situation untouched = new Situation(phase, List.of());
            voltages(untouched);
            loop.ifPresent(one -> steps.add(untouched, one));
        }
        for (List<Action> hands : situations.ready()) {
            Situation ready = new Situation(phase, hands);
            look(ready);
            walk(ready);
            clamp(ready);
            tried.clear();
            for (Situations.Deed start : situations.starts()) {
                start(ready, start);
            }
            for (Situations.Deed stop : situations.stops()) {
                Situation stopped = new Situation(phase, Situations.and(hands, stop.does()));
                if (!looksAlike(ready, stopped)) {
                    look(stopped);
                }
                situations.starts().stream()
                        .findFirst()
                        .ifPresent(start -> look(new Situation(phase, Situations.and(stopped.hands(), start.does()))));
            }
        }
    }

    /** What every supply gives. */
    private void voltages(Situation situation) {
        for (Part part : assembly.parts()) {
            for (Source source : part.family() == Family.SUPPLY ? part.sources() : List.<Source>of()) {
                if (assembly.isWired(part, source.live()) && assembly.isWired(part, source.reference())) {
                    steps.add(
                            situation,
                            new Observation.Volts(
                                    Steps.at(part, source.live()),
                                    Steps.at(part, source.reference()),
                                    source.rated().kind() == CurrentKind.DC));
                }
            }
        }
    }

    private void start(Situation ready, Situations.Deed start) {
        Situation held = new Situation(phase, Situations.and(ready.hands(), start.does()));
        Situation running = new Situation(phase, Situations.and(held.hands(), start.undoes()));
        if (looksAlike(ready, held)) {
            look(held);
            return;
        }
        look(held);
        timed(held);
        look(running);
        timed(running);
        boolean known = tried.stream().anyMatch(other -> looksAlike(other, running));
        boolean stays = !looksAlike(ready, running);
        if (!known) {
            walk(stays ? running : held);
            clamp(stays ? running : held);
            tried.add(running);
        }
        if (stays && !known) {
            running(running, start);
        }
    }

    /** Every way to stop it, every other start, and the supply lost and back; once for each thing that a start can lead to. */
    private void running(Situation running, Situations.Deed start) {
        for (Situations.Deed stop : situations.stops()) {
            Situation stopped = new Situation(phase, Situations.and(running.hands(), stop.does()));
            look(stopped);
            timed(stopped);
            look(new Situation(phase, Situations.and(stopped.hands(), stop.undoes())));
        }
        for (Situations.Deed other : situations.starts()) {
            if (!other.equals(start)) {
                look(new Situation(phase, Situations.and(running.hands(), other.does(), other.undoes())));
            }
        }
        List<Action> lost = Situations.and(running.hands(), situations.supplies(Verb.LOSE));
        look(new Situation(phase, lost));
        residual(new Situation(phase, lost));
        look(new Situation(phase, Situations.and(lost, situations.supplies(Verb.RESTORE))));
    }

    /** What is left on each motor, and with the motors off on each DC supply of more than may be left. */
    private void residual(Situation lost) {
        for (Part part : assembly.parts()) {
            if (phase == Phase.MOTOR && part.family() == Family.MOTOR) {
                List<String> leads = part.loads().stream()
                        .filter(load -> load.role() == LoadRole.WINDING)
                        .map(Load::from)
                        .filter(marking -> assembly.isWired(part, marking))
                        .toList();
                if (leads.size() > 1) {
                    boolean direct = part.loads().get(0).rated().kind() == CurrentKind.DC;
                    steps.add(
                            lost,
                            new Observation.Residual(
                                    Steps.at(part, leads.get(0)), Steps.at(part, leads.get(1)), direct));
                }
            }
            for (Source source : phase == Phase.CONTROL ? part.sources() : List.<Source>of()) {
                boolean stores = source.following()
                        .filter(following -> following.law() == Source.Law.REGULATED)
                        .isPresent();
                if (stores
                        && source.rated().volts() > Observation.TOUCHABLE
                        && assembly.isWired(part, source.live())
                        && assembly.isWired(part, source.reference())) {
                    steps.add(
                            lost,
                            new Observation.Residual(
                                    Steps.at(part, source.live()), Steps.at(part, source.reference()), true));
                }
            }
        }
    }

    /** A stopwatch for everything that comes later than by itself. */
    private void timed(Situation situation) {
        StepRehearsal.Rest rest = steps.sound().rest(situation);
        for (String tag : acting()) {
            Condition last = rest.moment().condition(tag);
            Condition first = rest.bench().momentAt(rest.since()).condition(tag);
            boolean late = last != first && rest.secondsUntil(tag, last).orElse(0) > TIMED;
            if (late && last != Condition.COASTING) {
                steps.add(situation, new Observation.After(tag, last));
            }
            for (Condition between : rest.conditions(tag)) {
                if (between != first && between != last && rest.secondsIn(tag, between) > TIMED) {
                    steps.add(situation, new Observation.Meanwhile(tag, between));
                }
            }
        }
    }

    /** The probe walks along every rung, the other one parked on the return of its supply. */
    private void walk(Situation situation) {
        if (phase != Phase.CONTROL) {
            return;
        }
        Set<String> walked = new LinkedHashSet<>();
        Moment moment = steps.sound().rest(situation).moment();
        for (Rung rung : assembly.sheet().control()) {
            Optional<String> parked = probed.returnOf(rung);
            for (Terminal terminal : rung.terminals().toList()) {
                Optional<String> number = numberOf(terminal);
                if (parked.isPresent() && number.isPresent() && !number.equals(parked) && walked.add(number.get())) {
                    boolean direct = moment.voltage(number.get(), parked.get())
                                    .filter(volts -> Math.abs(volts.direct()) > volts.alternating())
                                    .isPresent()
                            || probed.isDirect(rung);
                    steps.add(situation, new Observation.Volts(number.get(), parked.get(), direct));
                }
            }
        }
    }

    private Optional<String> numberOf(Terminal terminal) {
        return assembly.nodes()
                .indexOf(terminal)
                .map(index -> assembly.nodes().all().get(index).number());
    }

    private void clamp(Situation situation) {
        if (phase != Phase.MOTOR) {
            return;
        }
        for (Part part : assembly.parts()) {
            boolean turns = part.machine().isPresent()
                    && steps.sound()
                            .rest(situation)
                            .moment()
                            .condition(part.tag())
                            .isActive();
            if (turns) {
                part.terminals().stream()
                        .filter(marking -> !marking.equals("PE") && assembly.isWired(part, marking))
                        .forEach(marking ->
                                steps.add(situation, new Observation.Amperes(new Terminal(part.tag(), marking))));
            }
        }
    }
}
