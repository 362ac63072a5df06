package parable.sizing;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import parable.check.HeavyDuty;
import parable.check.MotorCircuit;
import parable.circuit.Practice;
import parable.circuit.Stated;
import parable.circuit.Terminal;
import parable.parts.Family;
import parable.parts.Part;
import parable.parts.Protection;
import parable.parts.TripCurve;
import parable.wiring.Conductor;
import parable.wiring.Wire;
import parable.wiring.WireList;

/** What of a drawing does not keep the limits of its sizing, or says nothing where the sizing does. */
final class Differences {

    /** A dial is read and set no finer than this share. */
    private static final double DIAL = 0.03;

    /** A relay is set no lower than this share of what flows. */
    private static final double LOWEST_SETTING = 0.95;

    /** A resistor of the trade is chosen within this share. */
    private static final double RESISTOR = 0.15;

    /** A timer that waits longer than so many times the time to 80 % lets the motor crawl in star. */
    private static final double LATE = 3;

    private static final double LATE_SECONDS = 4;

    /** A fuse is of a standard size, which may be a little below the current of the transformer. */
    private static final double LEAST_FUSE = 0.8;

    private final SheetFacts facts;
    private final Practice practice;
    private final List<DrawingDifference> found = new ArrayList<>();

    private Differences(SheetFacts facts, Practice practice) {
        this.facts = facts;
        this.practice = practice;
    }

    static List<DrawingDifference> of(SheetFacts facts, Practice practice, SheetSizing sizing) {
        Differences differences = new Differences(facts, practice);
        List<Wire> wires = facts.motors().isEmpty()
                ? List.of()
                : WireList.of(facts.assembly(), practice).wires();
        for (MotorCircuit circuit : facts.motors()) {
            sizing.motor(circuit.motor().tag()).ifPresent(sized -> differences.motor(circuit, sized, wires));
        }
        for (SheetSizing.Sized<ControlSupplySizing> supply : sizing.supplies()) {
            supply.sizing().ifPresent(sized -> differences.supply(supply.tag(), sized));
        }
        for (SheetSizing.Sized<BrakeSizing> brake : sizing.brakes()) {
            brake.sizing().ifPresent(differences::brake);
        }
        return differences.found;
    }

    private void motor(MotorCircuit circuit, MotorSizing sized, List<Wire> wires) {
        found.addAll(GivenDifferences.of(circuit, sized.inputs()));
        circuit.release().ifPresent(relay -> overload(relay.part(), sized));
        circuit.branch().ifPresent(branch -> protection(branch.part(), sized));
        for (MotorCircuit.Carrier carrier : circuit.carriers()) {
            if (DrawnMotor.isContactor(carrier.part()) && carrier.others().isEmpty()) {
                contactor(carrier.part(), sized, false);
            }
        }
        boolean starDelta = sized.inputs().is(MotorQuestion.START, "star-delta");
        circuit.startsOnly().stream()
                .filter(part -> starDelta && !isOfBrake(part))
                .forEach(star -> contactor(star, sized, true));
        wire(circuit, sized, wires);
        if (starDelta) {
            timer(circuit, sized);
        }
    }

    private boolean isOfBrake(Part contactor) {
        return facts.assembly().parts().stream()
                        .anyMatch(part -> part.device().kind().equals("rectifier"))
                && contactor.contacts().stream()
                                .filter(contact -> contact.pole())
                                .count()
                        < 3;
    }

    private void add(
            DrawingDifference.Sort sort,
            String tag,
            String what,
            String[] values,
            String why,
            DrawingDifference.TakeOver takeOver) {
        found.add(new DrawingDifference(sort, tag, what, values[0], values[1], why, takeOver));
    }

    private static DrawingDifference.TakeOver set(String tag, String setting, String value) {
        return new DrawingDifference.TakeOver.OfDevice(tag, setting, value);
    }

    private void overload(Part relay, MotorSizing sized) {
        double drawn = relay.heater().orElseThrow().setting();
        double wanted = sized.result("overload").orElseThrow().value();
        double most = practice == Practice.IEC
                ? wanted * (1 + DIAL)
                : sized.result("overload-most").orElseThrow().value() * (1 + DIAL / 10);
        if (drawn > most || drawn < wanted * (LOWEST_SETTING - DIAL / 10)) {
            String value = Figures.written(wanted) + " A";
            add(
                    DrawingDifference.Sort.DIFFERS,
                    relay.tag(),
                    "overload setting",
                    new String[] {Figures.written(drawn) + " A", value},
                    drawn > most
                            ? "Set so high it lets the motor burn before it trips."
                            : "Set so low it trips in ordinary work.",
                    set(relay.tag(), "setting", value));
        }
    }

    private void protection(Part device, MotorSizing sized) {
        Protection drawn = device.protection().orElseThrow();
        TripCurve curve = drawn.curve().orElseThrow();
        double current = sized.result("current").orElseThrow().value();
        double wanted = sized.result("protection").orElseThrow().value();
        double seconds = sized.start().runUp().map(RunUp::seconds).orElse(0.5);
        boolean bears = MotorProtection.bears(drawn.amperes(), curve, current, sized.start(), seconds);
        boolean fuse = curve == TripCurve.GG || curve == TripCurve.AM;
        double most = practice == Practice.IEC
                ? MotorCircuit.mostProtection(current)
                : fuse ? sized.result("fuse-non-time-delay").orElseThrow().value() : wanted;
        if (!bears && drawn.amperes() < wanted || drawn.amperes() > most) {
            String value = Figures.written(wanted) + " A";
            add(
                    DrawingDifference.Sort.DIFFERS,
                    device.tag(),
                    fuse ? "fuse" : "breaker",
                    new String[] {Figures.written(drawn.amperes()) + " A", value},
                    drawn.amperes() > most
                            ? "A short in the motor's wires is let through for too long."
                            : "It opens in the start or in ordinary work.",
                    set(device.tag(), "rated", value));
        }
    }

    private void contactor(Part contactor, MotorSizing sized, boolean star) {
        String key = star && practice == Practice.IEC ? "contactor-star" : "contactor";
        Optional<SizingResult> wanted = sized.result(key);
        if (wanted.isEmpty()) {
            return;
        }
        double needed = least(contactor, sized, wanted.get());
        Optional<Double> drawn = contactor.device().figure("rated");
        String value = Figures.written(wanted.get().value()) + " A";
        if (drawn.isEmpty()) {
            add(
                    DrawingDifference.Sort.NOT_SAID,
                    contactor.tag(),
                    "rated current",
                    new String[] {"", value},
                    "Whoever buys it needs to know.",
                    set(contactor.tag(), "rated", value));
        } else if (drawn.get() < needed * (1 - 1e-6)) {
            add(
                    DrawingDifference.Sort.DIFFERS,
                    contactor.tag(),
                    "contactor",
                    new String[] {Figures.written(drawn.get()) + " A", value},
                    ContactorSize.isHeavy(sized.inputs())
                            ? "Jogged or plugged it makes and breaks six times the motor's current each time."
                            : "Its contacts wear or weld before their time.",
                    set(contactor.tag(), "rated", value));
        }
    }

    /** What a contactor must be rated: the frame where that is chosen by power, else what flows. */
    private double least(Part contactor, MotorSizing sized, SizingResult wanted) {
        double current = sized.result("current").orElseThrow().value();
        if (HeavyDuty.isMadeFor(contactor)) {
            return current;
        }
        if (practice == Practice.NORTH_AMERICAN) {
            return wanted.value();
        }
        return ContactorSize.isHeavy(sized.inputs())
                ? Math.min(wanted.value(), HeavyDuty.leastRating(contactor, current))
                : ContactorSize.carried(sized.inputs(), current, wanted.key());
    }

    private void wire(MotorCircuit circuit, MotorSizing sized, List<Wire> wires) {
        String motor = circuit.motor().tag();
        Optional<SizingResult> leads = sized.result("leads").or(() -> sized.result("wire"));
        double wanted = leads.map(result -> ProspectiveCurrent.squareMillimetresOf(practice, result.written()))
                .orElse(0.0);
        wires.stream()
                .filter(wire -> isAt(wire.from(), motor) || isAt(wire.to(), motor))
                .map(Wire::conductor)
                .filter(conductor -> !conductor.isProtective())
                .filter(conductor -> conductor.squareMillimetres().orElse(0) < wanted * (1 - 1e-3))
                .map(Conductor::size)
                .findFirst()
                .ifPresent(drawn -> {
                    String size = sizeOf(leads.orElseThrow());
                    add(
                            DrawingDifference.Sort.DIFFERS,
                            motor,
                            "wire of the motor",
                            new String[] {drawn, size},
                            "It does not carry the motor's current where it is laid.",
                            new DrawingDifference.TakeOver.OfStatement(
                                    new Stated(motor, leads.orElseThrow().key(), size)));
                });
    }

    /** The size of a result such as {@code 4 mm² (23 A)}. */
    private static String sizeOf(SizingResult wire) {
        return wire.written().substring(0, wire.written().indexOf(" ("));
    }

    private static boolean isAt(Terminal terminal, String tag) {
        return terminal.tag().equals(tag);
    }

    private void timer(MotorCircuit circuit, MotorSizing sized) {
        Optional<SizingResult> wanted = sized.result("timer");
        Optional<SizingResult> least = sized.result("star-time");
        List<Part> timers = facts.assembly().parts().stream()
                .filter(part -> part.family() == Family.TIMER && changes(part, circuit))
                .toList();
        if (wanted.isEmpty() || least.isEmpty() || timers.size() != 1) {
            return;
        }
        Part timer = timers.get(0);
        double drawn = timer.device().figure("setting").orElse(0.0);
        boolean early = drawn < least.get().value();
        boolean late = drawn > LATE * least.get().value() + LATE_SECONDS;
        if (early || late) {
            String value = Figures.written(wanted.get().value()) + " s";
            add(
                    DrawingDifference.Sort.DIFFERS,
                    timer.tag(),
                    "time in star",
                    new String[] {timer.device().setting("setting").orElse("nothing"), value},
                    early
                            ? "It changes too early: the peak is nearly that of a direct start."
                            : "It changes too late: the motor is up long before and runs on in star, where its load heats it.",
                    set(timer.tag(), "setting", value));
        }
    }

    /** Whether a contact of a timer is in the rung of a contactor that only starts the motor. */
    private boolean changes(Part timer, MotorCircuit circuit) {
        return facts.assembly().sheet().control().stream()
                .filter(rung -> rung.terminals().anyMatch(terminal -> circuit.startsOnly().stream()
                        .anyMatch(star -> terminal.equals(new Terminal(star.tag(), "A1")))))
                .anyMatch(rung -> rung.terminals().anyMatch(terminal -> isAt(terminal, timer.tag())));
    }

    private void supply(String tag, ControlSupplySizing sized) {
        Optional<SizingResult> direct = sized.result(DrawnDirectSupply.SUPPLY);
        if (direct.isEmpty()) {
            transformer(tag, sized);
        } else if (direct.get().fails()) {
            String value = Figures.exact(direct.get().value()) + " A";
            Part part = facts.assembly().part(tag).orElseThrow();
            add(
                    DrawingDifference.Sort.DIFFERS,
                    tag,
                    "DC supply",
                    new String[] {part.device().setting("rated").orElse(""), value},
                    "With all of it on its voltage sinks and relays let go.",
                    set(tag, "rated", value));
        }
    }

    private void transformer(String tag, ControlSupplySizing sized) {
        Part part = facts.assembly().part(tag).orElseThrow();
        double drawn = sized.inputs().quantity(ControlQuestion.RATED).orElse(0.0);
        double wanted = sized.result("transformer").orElseThrow().value();
        if (sized.result("control-voltage").filter(SizingResult::fails).isPresent() && wanted > drawn) {
            String value = Figures.written(wanted) + " VA";
            add(
                    DrawingDifference.Sort.DIFFERS,
                    tag,
                    "control transformer",
                    new String[] {Figures.written(drawn) + " VA", value},
                    "Its voltage sags so far that the last coil may not pull in.",
                    set(tag, "rated", value));
        } else {
            ControlFuses.of(facts.assembly(), part).forEach(fuse -> fuse(fuse, sized));
        }
    }

    private void fuse(ControlFuses.TransformerFuse fuse, ControlSupplySizing sized) {
        SizingResult current = sized.result(fuse.primary() ? "primary-current" : "secondary-current")
                .orElseThrow();
        double most = current.value() * TransformerFuses.most(practice, fuse.primary());
        double drawn = fuse.part().protection().orElseThrow().amperes();
        boolean small = drawn < current.value() * LEAST_FUSE;
        if (drawn > most * (1 + 1e-6) || small) {
            String value = Figures.exact(sized.result(fuse.primary() ? "primary-fuse" : "secondary-fuse")
                            .orElseThrow()
                            .value())
                    + " A";
            add(
                    DrawingDifference.Sort.DIFFERS,
                    fuse.part().tag(),
                    fuse.primary() ? "primary fuse" : "secondary fuse",
                    new String[] {Figures.exact(drawn) + " A", value},
                    small ? "It blows in ordinary work." : "The transformer burns before it blows.",
                    set(fuse.part().tag(), "rated", value));
        }
    }

    private void brake(BrakeSizing sized) {
        Optional<SizingResult> ohms = sized.result("brake-resistor");
        Optional<SizingResult> mean = sized.result("brake-resistor-mean");
        Optional<Part> resistor = facts.assembly().parts().stream()
                .filter(part -> part.family() == Family.RESISTOR)
                .findFirst();
        if (ohms.isEmpty() || mean.isEmpty() || resistor.isEmpty()) {
            return;
        }
        String tag = resistor.get().tag();
        double drawn = resistor.get().loads().get(0).ohms();
        if (Math.abs(drawn / ohms.get().value() - 1) > RESISTOR) {
            String value = Figures.written(Math.max(1, Math.round(ohms.get().value()))) + " ohm";
            add(
                    DrawingDifference.Sort.DIFFERS,
                    tag,
                    "brake resistor",
                    new String[] {Figures.written(drawn) + " ohm", value},
                    "The brake has another current than it is sized for.",
                    set(tag, "resistance", value));
        }
        Optional<Double> watts = resistor.get().device().figure("power");
        if (watts.filter(rated -> rated >= mean.get().value()).isEmpty()) {
            String value = Figures.written(50 * Math.ceil(mean.get().value() / 50)) + " W";
            add(
                    watts.isPresent() ? DrawingDifference.Sort.DIFFERS : DrawingDifference.Sort.NOT_SAID,
                    tag,
                    "power of the brake resistor",
                    new String[] {
                        watts.map(rated -> Figures.written(rated) + " W").orElse(""), value
                    },
                    "It glows where it is braked as often as it is sized for.",
                    set(tag, "power", value));
        }
    }
}
