package parable.proof;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import parable.bench.Condition;
import parable.bench.Moment;
import parable.parts.Family;
import parable.parts.Part;

/** The claims that must never be broken: {@code no-short}, and {@code stops:TAG} for every stop, E-stop and trip. */
final class Claims implements ClaimSource {

    /** The conditions of a motor that is fed to turn. */
    static final Set<Condition> DRIVEN =
            Set.of(Condition.FORWARD, Condition.REVERSE, Condition.SINGLE_PHASED, Condition.LOCKED);

    private final Machine machine;
    private final Explorer explorer;
    private final Deciding deciding;

    Claims(Machine machine, Explorer explorer, Deciding deciding) {
        this.machine = machine;
        this.explorer = explorer;
        this.deciding = deciding;
    }

    @Override
    public List<Claim> claims() {
        List<Claim> claims = new ArrayList<>();
        claims.add(deciding.decide(
                "no-short",
                "No two points of different potential are ever joined without a load.",
                explorer.firstShort(),
                (positions, conduction, settled) -> conduction.shorted(),
                Moment::shorted,
                false));
        List<Part> parts = machine.parts();
        for (int p = 0; p < parts.size(); p++) {
            if (isStop(parts.get(p))) {
                claims.add(stops(p));
            }
        }
        return claims;
    }

    /** What every motor must stop for: an E-stop, an overload release, a button whose contacts all open. */
    private static boolean isStop(Part part) {
        return part.family() == Family.EMERGENCY_STOP
                || part.family() == Family.OVERLOAD_RELAY
                || part.family() == Family.PUSH_BUTTON
                        && part.contacts().stream().allMatch(contact -> contact.isNormallyClosed());
    }

    private Claim stops(int part) {
        String tag = machine.parts().get(part).tag();
        String done = machine.parts().get(part).family() == Family.OVERLOAD_RELAY ? "tripped" : "held";
        Optional<Integer> broken = explorer.settledAndDriven()
                .filter(index -> machine.value(explorer.states().key(index), part) == 1)
                .boxed()
                .findFirst();
        return deciding.decide(
                "stops:" + tag,
                "While " + tag + " is " + done + " every motor comes to have no current, whatever else is held.",
                broken,
                (positions, conduction, settled) ->
                        settled && conduction.driven() != 0 && machine.value(positions, part) == 1,
                moment -> moment.actuated(tag) && isDriven(moment),
                true);
    }

    private boolean isDriven(Moment moment) {
        return machine.parts().stream()
                .filter(part -> part.family() == Family.MOTOR)
                .anyMatch(part -> DRIVEN.contains(moment.condition(part.tag())));
    }
}
