package parable.proof;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import parable.reach.CircuitMachine;
import parable.reach.Effects;
import parable.reach.Explorer;
import parable.reach.Hand;

/**
 * What starts do: {@code held:START} and {@code certain:START} for each start from rest, in each position of the selectors, and {@code while:START:OTHER} for
 * each other operator that is pressed while what the start has set going runs.
 */
final class Behaviour implements ClaimSource {

    private static final String UNDECIDED = " leads to one and the same end, whichever contact is the quicker.";

    private final CircuitMachine machine;
    private final Explorer explorer;
    private final Certainty certainty;
    private final Operators operators;
    private final List<Claim> claims = new ArrayList<>();

    Behaviour(CircuitMachine machine, Explorer explorer, Certainty certainty) {
        this.machine = machine;
        this.operators = new Operators(machine);
        this.explorer = explorer;
        this.certainty = certainty;
    }

    @Override
    public List<Claim> claims() {
        claim("untouched", List.of(), "Switched on and untouched, the sheet");
        for (List<Hand> arrangement : operators.arrangements()) {
            if (!arrangement.isEmpty()) {
                claim("position:" + operators.ids(arrangement), arrangement, operators.words(arrangement));
            }
            for (int part = 0; part < machine.parts().size(); part++) {
                operators.start(part).ifPresent(press -> starts(arrangement, press));
            }
        }
        return claims;
    }

    private void starts(List<Hand> arrangement, Hand press) {
        String tag = operators.tag(press);
        String after = arrangement.isEmpty() ? "" : "@" + operators.ids(arrangement);
        String where = arrangement.isEmpty() ? "from rest" : "with " + operators.words(arrangement);
        List<Hand> script = new ArrayList<>(arrangement);
        script.add(press);
        Optional<Effects> held =
                claim("held:" + tag + after, script, tag + ", " + press.words() + " " + where + " and held,");
        script.add(Operators.release(press));
        Optional<Effects> runs =
                claim("certain:" + tag + after, script, tag + ", " + press.words() + " " + where + " and let go,");
        boolean jogs = held.filter(outcome -> !outcome.motors().isEmpty()).isPresent()
                && runs.filter(outcome -> outcome.motors().isEmpty()).isPresent();
        if (jogs) {
            jog(tag, after, arrangement.isEmpty() ? "" : " with " + operators.words(arrangement));
        }
        boolean runsOn = runs.filter(outcome -> !outcome.motors().isEmpty()).isPresent();
        for (int part = 0; part < machine.parts().size() && runsOn; part++) {
            if (part != press.part()) {
                operators.start(part).ifPresent(other -> {
                    List<Hand> further = new ArrayList<>(script);
                    further.add(other);
                    claim(
                            "while:" + tag + ":" + operators.tag(other) + after,
                            further,
                            "While what " + tag + " starts runs, " + operators.tag(other) + " " + other.words());
                });
            }
        }
    }

    /** Letting go of it stops what it drove: as sure as what its script ends with, which was claimed last. */
    private void jog(String tag, String after, String where) {
        Claim certain = claims.get(claims.size() - 1);
        claims.add(Claim.holding(
                jogId(tag, after),
                "Letting go of " + tag + where + " stops every motor that it drove.",
                certain.verdict(),
                certain.times()));
    }

    /** What the claim is called that letting go of a start stops. */
    static String jogId(String tag, String after) {
        return "jog:" + tag + after;
    }

    /** Raises a claim on what a script ends with; returns that if it is one and the same in all cases. */
    private Optional<Effects> claim(String id, List<Hand> script, String subject) {
        if (!explorer.decidesByRest()) {
            claims.add(Claim.open(id, subject + UNDECIDED, List.of()));
            return Optional.empty();
        }
        Set<Effects> ends = operators.ends(explorer, script);
        boolean decided = ends.size() == 1 && explorer.firstShort().isEmpty();
        if (decided) {
            Effects end = ends.iterator().next();
            claims.add(Claim.holding(id, text(subject, end), Verdict.HOLDS_AT_ANY_SPEED, List.of()));
            return Optional.of(end);
        }
        Certainty.Decision decision = certainty.decide(script);
        String text = decision.end().map(end -> text(subject, end)).orElse(subject + UNDECIDED);
        claims.add(Claim.of(
                id,
                text,
                decision.outcome(),
                ends.stream().map(end -> "it may be that " + end.words()).toList()));
        return decision.end();
    }

    private static String text(String subject, Effects end) {
        return subject + " ends with this: " + end.words() + ".";
    }
}
