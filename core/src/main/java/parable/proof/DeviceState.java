package parable.proof;

import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import parable.bench.Condition;
import parable.bench.Moment;
import parable.parts.Family;
import parable.parts.Part;
import parable.reach.CircuitMachine;
import parable.reach.Component;
import parable.reach.Conduction;

/** How a device may stand, as it is said in a claim. */
enum DeviceState {
    IN("is in", Set.of(Family.CONTACTOR, Family.CONTROL_RELAY, Family.TIMER), "in", "pulled in", "closed") {
        @Override
        boolean holds(CircuitMachine machine, int part, long positions, Conduction conduction) {
            int value = machine.value(positions, part);
            return machine.component(part) instanceof Component.Armature
                    ? value == Component.Armature.IN || value == Component.Armature.HANGING
                    : machine.parts().get(part).contacts().stream()
                            .anyMatch(contact -> !contact.isNormallyClosed()
                                    && machine.component(part).isClosed(contact, value));
        }

        @Override
        boolean shows(Moment moment, String tag) {
            return moment.condition(tag) == Condition.IN;
        }
    },
    OUT("is out", IN.families, "out", "dropped out", "open") {
        @Override
        boolean holds(CircuitMachine machine, int part, long positions, Conduction conduction) {
            return !IN.holds(machine, part, positions, conduction);
        }

        @Override
        boolean shows(Moment moment, String tag) {
            return !IN.shows(moment, tag);
        }
    },
    ON("is on", Set.of(Family.PILOT_LAMP, Family.HORN, Family.SOLENOID), "on", "lit", "sounding", "sounds", "lights") {
        @Override
        boolean holds(CircuitMachine machine, int part, long positions, Conduction conduction) {
            int signal = machine.signals().indexOf(machine.parts().get(part).tag());
            return (conduction.lit() >> signal & 1) == 1;
        }

        @Override
        boolean shows(Moment moment, String tag) {
            Condition condition = moment.condition(tag);
            return condition == Condition.LIT || condition == Condition.SOUNDING || condition == Condition.IN;
        }
    },
    OFF("is off", ON.families, "off", "dark", "silent") {
        @Override
        boolean holds(CircuitMachine machine, int part, long positions, Conduction conduction) {
            return !ON.holds(machine, part, positions, conduction);
        }

        @Override
        boolean shows(Moment moment, String tag) {
            return !ON.shows(moment, tag);
        }
    },
    FED("is fed", Set.of(Family.MOTOR), "fed", "turns", "turning", "runs", "running", "driven") {
        @Override
        boolean holds(CircuitMachine machine, int part, long positions, Conduction conduction) {
            return (conduction.driven() >> motor(machine, part) & 1) == 1;
        }

        @Override
        boolean shows(Moment moment, String tag) {
            return Stops.DRIVEN.contains(moment.condition(tag));
        }
    },
    DEAD("is not fed", FED.families, "stopped", "stands", "stands still", "standing", "off") {
        @Override
        boolean holds(CircuitMachine machine, int part, long positions, Conduction conduction) {
            return !FED.holds(machine, part, positions, conduction);
        }

        @Override
        boolean shows(Moment moment, String tag) {
            return !FED.shows(moment, tag);
        }
    },
    FORWARD("is fed forward", FED.families, "forward", "runs forward", "turns forward", "running forward") {
        @Override
        boolean holds(CircuitMachine machine, int part, long positions, Conduction conduction) {
            return FED.holds(machine, part, positions, conduction)
                    && (conduction.reversed() >> motor(machine, part) & 1) == 0;
        }

        @Override
        boolean shows(Moment moment, String tag) {
            return moment.condition(tag) == Condition.FORWARD;
        }
    },
    REVERSE(
            "is fed in reverse",
            FED.families,
            "reverse",
            "in reverse",
            "runs in reverse",
            "turns in reverse",
            "running in reverse",
            "backwards",
            "runs backwards") {
        @Override
        boolean holds(CircuitMachine machine, int part, long positions, Conduction conduction) {
            return FED.holds(machine, part, positions, conduction)
                    && (conduction.reversed() >> motor(machine, part) & 1) == 1;
        }

        @Override
        boolean shows(Moment moment, String tag) {
            return moment.condition(tag) == Condition.REVERSE;
        }
    },
    BRAKED("is braked", FED.families, "braked") {
        @Override
        boolean holds(CircuitMachine machine, int part, long positions, Conduction conduction) {
            return (conduction.braked() >> motor(machine, part) & 1) == 1;
        }

        @Override
        boolean shows(Moment moment, String tag) {
            return moment.condition(tag) == Condition.BRAKED;
        }
    },
    HELD(
            "is held",
            Set.of(Family.PUSH_BUTTON, Family.EMERGENCY_STOP, Family.MACHINE_SWITCH),
            "held",
            "pressed",
            "hit",
            "actuated") {
        @Override
        boolean holds(CircuitMachine machine, int part, long positions, Conduction conduction) {
            int value = machine.value(positions, part);
            return machine.component(part) instanceof Component.Button ? Component.Button.isPushed(value) : value == 1;
        }

        @Override
        boolean shows(Moment moment, String tag) {
            return moment.actuated(tag);
        }
    },
    RELEASED("is let go", HELD.families, "released", "let go", "at rest") {
        @Override
        boolean holds(CircuitMachine machine, int part, long positions, Conduction conduction) {
            return !HELD.holds(machine, part, positions, conduction);
        }

        @Override
        boolean shows(Moment moment, String tag) {
            return !HELD.shows(moment, tag);
        }
    },
    TRIPPED("has tripped", Set.of(Family.OVERLOAD_RELAY), "tripped") {
        @Override
        boolean holds(CircuitMachine machine, int part, long positions, Conduction conduction) {
            return machine.value(positions, part) == 1;
        }

        @Override
        boolean shows(Moment moment, String tag) {
            return moment.actuated(tag);
        }
    },
    HEALTHY("is healthy", TRIPPED.families, "healthy") {
        @Override
        boolean holds(CircuitMachine machine, int part, long positions, Conduction conduction) {
            return !TRIPPED.holds(machine, part, positions, conduction);
        }

        @Override
        boolean shows(Moment moment, String tag) {
            return !TRIPPED.shows(moment, tag);
        }
    };

    private final String words;
    private final Set<Family> families;
    private final List<String> said;

    DeviceState(String words, Set<Family> families, String... said) {
        this.words = words;
        this.families = families;
        this.said = List.of(said);
    }

    /** Whether a part stands so in a state. */
    abstract boolean holds(CircuitMachine machine, int part, long positions, Conduction conduction);

    /** Whether a device stands so on the bench. */
    abstract boolean shows(Moment moment, String tag);

    private static int motor(CircuitMachine machine, int part) {
        return machine.motors().indexOf(machine.parts().get(part).tag());
    }

    /** As it is read back: {@code is in}. */
    String words() {
        return words;
    }

    /** What is meant by a word for a device, empty if that can not be said of it. */
    static Optional<DeviceState> of(Part part, String word) {
        return Arrays.stream(values())
                .filter(standing -> standing.families.contains(part.family()) && standing.said.contains(word))
                .findFirst();
    }

    /** What can be said of a device, to be read aloud; empty if nothing can. */
    static String sayable(Part part) {
        return Arrays.stream(values())
                .filter(standing -> standing.families.contains(part.family()))
                .map(standing -> standing.said.get(0))
                .collect(Collectors.joining(", "));
    }
}
