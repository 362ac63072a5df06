package parable.proof;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.IntStream;
import parable.bench.Condition;
import parable.bench.Moment;
import parable.network.PowerPath;
import parable.parts.Assembly;
import parable.parts.Contact;
import parable.parts.Family;
import parable.parts.Part;
import parable.reach.CircuitMachine;
import parable.reach.Explorer;
import parable.reach.StateSet;
import parable.timing.Replay;

/**
 * {@code stops:TAG} for every stop, E-stop and trip: while it is held the motors that it is there for come to have no current. An E-stop is
 * there for all of them, a thermal release for those whose current flows through it, a stop button for those that it can stop at all; one that
 * stops none of them, and no relay either, is taken to be there for all.
 */
final class Stops implements ClaimSource {

    /** The conditions of a motor that is fed to turn. */
    static final Set<Condition> DRIVEN =
            Set.of(Condition.FORWARD, Condition.REVERSE, Condition.SINGLE_PHASED, Condition.LOCKED);

    private final CircuitMachine machine;
    private final Explorer explorer;
    private final Deciding deciding;
    private final PowerPath power;
    private final Map<Integer, StateSet> toRest = new HashMap<>();

    Stops(Assembly assembly, CircuitMachine machine, Explorer explorer, Deciding deciding) {
        this.machine = machine;
        this.explorer = explorer;
        this.deciding = deciding;
        power = new PowerPath(assembly);
    }

    static String id(String tag) {
        return "stops:" + tag;
    }

    @Override
    public List<Claim> claims() {
        List<Claim> claims = new ArrayList<>();
        if (machine.motors().isEmpty()) {
            return claims;
        }
        for (int part : machine.moving()) {
            if (isStop(machine.parts().get(part))) {
                long motors = motors(part);
                if (motors != 0) {
                    claims.add(stops(part, motors));
                }
            }
        }
        return claims;
    }

    /** What stops motors: an E-stop, an overload relay, a button whose contacts all open. */
    private static boolean isStop(Part part) {
        return switch (part.family()) {
            case EMERGENCY_STOP, OVERLOAD_RELAY -> true;
            case PUSH_BUTTON -> part.contacts().stream().allMatch(Contact::isNormallyClosed);
            default -> false;
        };
    }

    /** The motors that a stop is there for, a bit each. */
    private long motors(int part) {
        long all = (1L << machine.motors().size()) - 1;
        return switch (machine.parts().get(part).family()) {
            case OVERLOAD_RELAY -> {
                Set<String> behind = power.motorsBehind(machine.parts().get(part));
                long those = IntStream.range(0, machine.motors().size())
                        .filter(motor -> behind.contains(machine.motors().get(motor)))
                        .mapToLong(motor -> 1L << motor)
                        .sum();
                yield those == 0 ? all : those;
            }
            case PUSH_BUTTON -> machine.motors().size() == 1 && !dropsOther(part, all) ? all : stoppable(part, all);
            default -> all;
        };
    }

    /** Whether a button stops no motor and lets other relays go, as one that resets an alarm does. */
    private boolean dropsOther(int part, long all) {
        return dropsAny(part) && stoppedBy(part, all) == 0;
    }

    private long stoppable(int part, long all) {
        long stopped = stoppedBy(part, all);
        return stopped != 0 ? stopped : dropsAny(part) ? 0 : all;
    }

    /** The motors that run in some state of rest and may come to stop once the button is pressed. */
    private long stoppedBy(int part, long all) {
        long stopped = 0;
        for (int motor = 0; motor < machine.motors().size(); motor++) {
            StateSet leading = toRest.computeIfAbsent(motor, this::leadingToRest);
            for (int index : explorer.settled()) {
                if ((driven(index) >> motor & 1) == 1) {
                    int pressed = pressed(index, part);
                    if (leading.has(pressed)) {
                        stopped |= 1L << motor;
                        break;
                    }
                }
            }
        }
        return stopped & all;
    }

    /** The states from which a motor may come to rest by itself. */
    private StateSet leadingToRest(int motor) {
        return explorer.leadingTo(index -> explorer.isSettled(index) && (driven(index) >> motor & 1) == 0);
    }

    /** Whether there is a state of rest in which pressing it takes the voltage of a coil that is in. */
    private boolean dropsAny(int part) {
        for (int index : explorer.settled()) {
            int pressed = pressed(index, part);
            long let = pressed < 0
                    ? 0
                    : explorer.conduction(index).holds()
                            & ~explorer.conduction(pressed).holds();
            long state = explorer.states().key(index);
            boolean drops = let != 0
                    && IntStream.of(machine.moving())
                            .anyMatch(moving -> machine.isIn(state, moving) && (let >> machine.rank(moving) & 1) == 1);
            if (drops) {
                return true;
            }
        }
        return false;
    }

    /** The state with the button pressed, all its blocks over; -1 if it is pressed already or that state is not known. */
    private int pressed(int index, int part) {
        long state = explorer.states().key(index);
        if (machine.value(state, part) != 0) {
            return -1;
        }
        int next = explorer.states().indexOf(machine.with(state, machine.toggle(state, part)));
        return next < explorer.visited() ? next : -1;
    }

    private long driven(int index) {
        return explorer.conduction(index).driven();
    }

    private Claim stops(int part, long motors) {
        Part stop = machine.parts().get(part);
        String tag = stop.tag();
        String done = stop.family() == Family.OVERLOAD_RELAY ? "tripped" : "held";
        Set<String> tags = new TreeSet<>();
        for (int motor = 0; motor < machine.motors().size(); motor++) {
            if ((motors >> motor & 1) == 1) {
                tags.add(machine.motors().get(motor));
            }
        }
        String whom = tags.size() == machine.motors().size() ? "every motor" : String.join(" and ", tags);
        Optional<Integer> broken = explorer.ended()
                .filter(index -> (driven(index) & motors) != 0)
                .filter(index -> machine.value(explorer.states().key(index), part) == 1)
                .boxed()
                .findFirst();
        return deciding.decide(new ClaimQuestion(
                id(tag),
                "While " + tag + " is " + done + " " + whom
                        + (tags.size() == 1 || whom.startsWith("every") ? " comes" : " come")
                        + " to have no current, whatever else is held.",
                broken,
                (positions, conduction, settled) ->
                        settled && (conduction.driven() & motors) != 0 && machine.value(positions, part) == 1,
                moment -> moment.actuated(tag) && tags.stream().anyMatch(motor -> isDriven(moment, motor)),
                Replay.When.IN_THE_END));
    }

    private static boolean isDriven(Moment moment, String motor) {
        return DRIVEN.contains(moment.condition(motor));
    }
}
