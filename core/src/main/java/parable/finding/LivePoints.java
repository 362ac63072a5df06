package parable.finding;

import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import parable.bench.Meter;
import parable.bench.Moment;
import parable.circuit.ProbePoint;
import parable.circuit.Rung;
import parable.circuit.Terminal;
import parable.parts.Assembly;
import parable.parts.Contact;
import parable.parts.CurrentKind;
import parable.parts.Family;
import parable.parts.Part;
import parable.parts.Source;
import parable.testsheet.Observation;
import parable.testsheet.ProbedRungs;

/** Where meter and clamp are put on a live panel. */
final class LivePoints {

    private static final Set<Family> CLAMPED = Set.of(Family.CONTACTOR, Family.OVERLOAD_RELAY, Family.BREAKER);

    private final Assembly assembly;
    private final ProbedRungs probed;

    LivePoints(Assembly assembly) {
        this.assembly = assembly;
        probed = new ProbedRungs(assembly);
    }

    /**
     * All of them: along every rung with the other probe on the return of its supply, from line to line on both sides of every device in the power circuit, what each supply gives, and the
     * clamp on every line of the motors.
     *
     * @param moment the sound panel, for what is direct and what turns
     */
    List<Observation> live(Moment moment) {
        Set<Observation> all = new LinkedHashSet<>();
        for (Part part : assembly.parts()) {
            for (Source source : part.sources()) {
                volts(
                        all,
                        moment,
                        part.tag() + ":" + source.live(),
                        part.tag() + ":" + source.reference(),
                        source.rated().kind() == CurrentKind.DC);
            }
            lines(all, moment, part);
        }
        for (Rung rung : assembly.sheet().control()) {
            probed.returnOf(rung).ifPresent(parked -> rung.terminals()
                    .filter(terminal -> !isOn(terminal, parked))
                    .forEach(terminal -> volts(all, moment, terminal.toString(), parked, probed.isDirect(rung))));
        }
        return List.copyOf(all);
    }

    private boolean isOn(Terminal terminal, String number) {
        return assembly.nodes()
                .indexOf(terminal)
                .filter(node -> assembly.nodes().all().get(node).number().equals(number))
                .isPresent();
    }

    private void lines(Set<Observation> all, Moment moment, Part part) {
        List<Contact> poles = part.contacts().stream()
                .filter(Contact::pole)
                .filter(pole -> assembly.isWired(part, pole.from()) && assembly.isWired(part, pole.to()))
                .toList();
        for (int one = 0; one < poles.size(); one++) {
            for (int other = one + 1; other < poles.size(); other++) {
                volts(
                        all,
                        moment,
                        part.tag() + ":" + poles.get(one).from(),
                        part.tag() + ":" + poles.get(other).from(),
                        false);
                volts(
                        all,
                        moment,
                        part.tag() + ":" + poles.get(one).to(),
                        part.tag() + ":" + poles.get(other).to(),
                        false);
            }
            if (CLAMPED.contains(part.family()) && isRunning(moment)) {
                all.add(new Observation.Amperes(
                        new Terminal(part.tag(), poles.get(one).to())));
            }
        }
    }

    private boolean isRunning(Moment moment) {
        return assembly.parts().stream()
                .anyMatch(part -> part.machine().isPresent()
                        && moment.condition(part.tag()).isActive());
    }

    private void volts(Set<Observation> all, Moment moment, String red, String black, boolean direct) {
        if (isThere(red) && isThere(black)) {
            all.add(new Observation.Volts(red, black, direct || isDirect(moment, red, black)));
        }
    }

    private boolean isThere(String place) {
        return ProbePoint.read(place)
                .terminal()
                .map(terminal -> assembly.nodes().indexOf(terminal).isPresent())
                .orElse(true);
    }

    private static boolean isDirect(Moment moment, String red, String black) {
        Optional<Double> direct =
                moment.meter().read(Meter.Range.VOLTS_DC, red, black).value();
        Optional<Double> alternating =
                moment.meter().read(Meter.Range.VOLTS_AC, red, black).value();
        return Math.abs(direct.orElse(0.0)) > alternating.orElse(0.0) + 1;
    }
}
