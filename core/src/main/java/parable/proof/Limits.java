package parable.proof;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import parable.parts.Drive;
import parable.parts.LoadRole;
import parable.parts.Part;
import parable.reach.CircuitMachine;
import parable.reach.Explorer;

/** What a proof leaves out, and which of its claims that touches. */
final class Limits {

    private static final String SHORTED_FIRST =
            "nothing is shorted first: what lies behind the short circuit was not looked at";
    private static final String ONE_AT_A_TIME = "supplies and breakers are away one at a time";
    private static final String NO_HAND = "no hand pushes in the armature of %s";

    private final CircuitMachine machine;
    private final Explorer explorer;
    private final List<Opponents.Pair> opponents;

    /**
     * Those of a sheet.
     *
     * @param opponents its contactors that must never be in together
     */
    Limits(CircuitMachine machine, Explorer explorer, List<Opponents.Pair> opponents) {
        this.machine = machine;
        this.explorer = explorer;
        this.opponents = opponents;
    }

    /** A claim with what it leaves out; one on what is never come to is not called held. */
    Claim on(Claim claim) {
        boolean raises = isShort(claim);
        if (!raises && isShortedAtOnce() || needsMotor(claim) && !isAnyMotorDriven()) {
            return claim.notReached();
        }
        if (claim.sort() != Claim.Sort.REQUIREMENT) {
            return explorer.firstShort().isPresent() ? claim.provided(List.of(SHORTED_FIRST)) : claim;
        }
        List<String> provided = new ArrayList<>();
        if (explorer.firstShort().isPresent() && !claim.id().equals(Shorts.NO_SHORT)) {
            provided.add(SHORTED_FIRST);
        }
        if (machine.outages().size() > 1) {
            provided.add(ONE_AT_A_TIME);
        }
        if (raises || claim.id().startsWith(Opponents.NEVER)) {
            opponents.stream()
                    .filter(pair -> !pair.barred() && (raises || claim.id().equals(Opponents.never(machine, pair))))
                    .forEach(pair -> provided.add(String.format(NO_HAND, words(pair))));
        }
        return claim.provided(provided);
    }

    /** The claims on several circuits of one sheet: a short circuit in one of them takes the supply from all. */
    static List<Claim> acrossParts(List<Claim> claims) {
        Optional<Claim> shorted = claims.stream()
                .filter(claim -> claim.id().equals(Shorts.NO_SHORT) && claim.verdict() == Verdict.FAILS)
                .findFirst();
        boolean atOnce = shorted.flatMap(Claim::refutation)
                .filter(refutation -> refutation.isAtOnce())
                .isPresent();
        return claims.stream()
                .map(claim -> shorted.isEmpty() || isShort(claim)
                        ? claim
                        : atOnce ? claim.notReached() : claim.alsoProvided(SHORTED_FIRST))
                .toList();
    }

    private static boolean isShort(Claim claim) {
        return claim.id().equals(Shorts.NO_SHORT) || claim.id().equals(Shorts.APART);
    }

    private String words(Opponents.Pair pair) {
        return machine.parts().get(pair.one()).tag() + " or "
                + machine.parts().get(pair.other()).tag();
    }

    private boolean isShortedAtOnce() {
        return explorer.firstShort().filter(first -> first == 0).isPresent();
    }

    private static boolean needsMotor(Claim claim) {
        return claim.id().startsWith(Stops.id("")) || claim.id().equals(Restarts.ID);
    }

    private boolean isAnyMotorDriven() {
        return !explorer.isComplete()
                || explorer.conductions().stream().anyMatch(conduction -> conduction.driven() != 0);
    }

    private static boolean hasRelease(Part part) {
        return part.loads().stream()
                .anyMatch(
                        load -> load.role() == LoadRole.SHUNT_RELEASE || load.role() == LoadRole.UNDERVOLTAGE_RELEASE);
    }

    /** What is left out of every proof of this sheet, a sentence each. */
    List<String> sentences() {
        List<String> sentences = new ArrayList<>();
        if (machine.outages().size() > 1) {
            sentences.add("Supplies and breakers are taken away one at a time, not two together.");
        }
        sentences.add("Fuses stay whole and nothing is broken; single faults are tried apart.");
        if (opponents.stream().anyMatch(pair -> !pair.barred())) {
            sentences.add("No hand pushes an armature in, but where a claim says so.");
        }
        sentences.add(
                "A motor's speed and heat are not followed: speed switches, trips and resets may come at any moment.");
        if (machine.parts().stream().anyMatch(part -> part.drive() instanceof Drive.ByTimer)
                || machine.programmed().isPresent()) {
            sentences.add("What comes round only when a timer has run its time is not called chatter.");
        }
        if (machine.parts().stream().anyMatch(Part::sags)) {
            sentences.add(
                    "Transformers and DC supplies are taken at what they give while the largest coil behind them pulls in and all else there is at work; coils"
                            + " that pull in at the same instant take more.");
        }
        if (!machine.motors().isEmpty()) {
            sentences.add(
                    "A dip of the supply so short that an armature stays in is ridden through; that is no restart.");
            sentences.add("What a float, limit or door switch starts by itself is its work and no restart.");
        }
        return List.copyOf(sentences);
    }
}
