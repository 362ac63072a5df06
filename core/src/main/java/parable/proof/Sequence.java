package parable.proof;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import parable.bench.Bench;
import parable.bench.Condition;
import parable.bench.Moment;
import parable.parts.Contact;
import parable.parts.Drive;
import parable.parts.Part;
import parable.reach.Hand;
import parable.timing.Corners;

/**
 * {@code finger:START}: a motor runs on after a start was held as long as a finger does; {@code sequence:START}: it is started with some
 * contactors and goes on with others, how long that takes and for how long it is without current meanwhile.
 */
final class Sequence implements ClaimSource {

    /** So long a motor may be without current while contactors change over, in microseconds; beyond it loses too much speed. */
    private static final long MOST_WITHOUT_CURRENT = 100_000;

    private final DurationClaims trials;

    Sequence(DurationClaims trials) {
        this.trials = trials;
    }

    @Override
    public List<Claim> claims() {
        List<Claim> claims = new ArrayList<>();
        for (Hand press : trials.starts()) {
            DurationClaims.Script script = trials.pressed(press);
            claims.add(finger(trials.tag(press), script));
            Bench nominal = trials.nominal(script);
            if (change(nominal, DurationClaims.BEFORE).isPresent()) {
                Corners.Result result = trials.measured(script, bench -> changes(bench, DurationClaims.BEFORE));
                claims.add(sequence(trials.tag(press), nominal, result));
            }
        }
        return claims;
    }

    private Claim finger(String tag, DurationClaims.Script script) {
        String text = tag + ", held for 200 ms and let go, leaves " + trials.motor() + " running";
        return trials.claim(
                "finger:" + tag,
                text + ".",
                trials.measured(script, bench -> running(bench, DurationClaims.BEFORE)),
                within -> text + "; it is fed after " + DurationClaims.range(within, 0) + ".");
    }

    /** How long until the motor is fed first; a flaw if it is not fed in the end. */
    private Corners.Measured running(Bench bench, long from) {
        long fed = DurationClaims.instants(bench, from).stream()
                .filter(instant -> trials.isDriven(bench.momentAt(instant)))
                .findFirst()
                .orElse(bench.now());
        Optional<Long> flaw = trials.isDriven(bench.moment()) ? Optional.empty() : Optional.of(bench.now());
        return new Corners.Measured("", List.of(fed - from), flaw);
    }

    private Set<String> in(Moment moment) {
        Set<String> in = new LinkedHashSet<>();
        for (Part part : trials.parts()) {
            boolean contactor = part.drive() instanceof Drive.ByCoil
                    && part.contacts().stream().anyMatch(Contact::pole);
            if (contactor && moment.condition(part.tag()) == Condition.IN) {
                in.add(part.tag());
            }
        }
        return in;
    }

    /** With which contactors the motor is fed first, and with which at the end. */
    private record Change(Set<String> first, Set<String> last) {
        Set<String> staying() {
            Set<String> staying = new LinkedHashSet<>(first);
            staying.retainAll(last);
            return staying;
        }

        Set<String> leaving() {
            Set<String> leaving = new LinkedHashSet<>(first);
            leaving.removeAll(last);
            return leaving;
        }

        Set<String> coming() {
            Set<String> coming = new LinkedHashSet<>(last);
            coming.removeAll(first);
            return coming;
        }
    }

    private Optional<Change> change(Bench bench, long from) {
        List<Long> instants = DurationClaims.instants(bench, from);
        return instants.stream()
                .map(bench::momentAt)
                .filter(trials::isDriven)
                .findFirst()
                .map(first -> new Change(in(first), in(bench.moment())))
                .filter(change -> !change.first().equals(change.last()));
    }

    /** How long until the motor is fed with its last contactors, and how long it is without current before that; no order if it does not change over. */
    private Corners.Measured changes(Bench bench, long from) {
        Optional<Change> found = change(bench, from);
        if (found.isEmpty()) {
            return new Corners.Measured("", List.of(), Optional.empty());
        }
        Change change = found.get();
        long begun = -1;
        long arrived = -1;
        long without = 0;
        long since = -1;
        Optional<Long> flaw = Optional.empty();
        List<Long> instants = DurationClaims.instants(bench, from);
        for (long instant : instants) {
            Moment moment = bench.momentAt(instant);
            boolean driven = trials.isDriven(moment);
            Set<String> in = in(moment);
            begun = begun < 0 && driven ? instant : begun;
            if (begun >= 0 && arrived < 0) {
                without += since >= 0 ? instant - since : 0;
                since = driven ? -1 : instant;
                arrived = driven && in.containsAll(change.last()) ? instant : -1;
            }
            boolean drops = begun >= 0 && !in.containsAll(change.staying());
            if (flaw.isEmpty() && (drops || without > MOST_WITHOUT_CURRENT)) {
                flaw = Optional.of(instant);
            }
        }
        flaw = arrived < 0 ? Optional.of(bench.now()) : flaw;
        String order = change.first() + " " + change.last();
        return new Corners.Measured(order, List.of(arrived - begun, without), flaw);
    }

    private Claim sequence(String tag, Bench nominal, Corners.Result result) {
        Change change = change(nominal, DurationClaims.BEFORE).orElseThrow();
        String id = "sequence:" + tag;
        String subject = tag + " starts " + trials.motor() + " with " + list(change.first()) + "; ";
        String follows = list(change.coming().isEmpty() ? change.last() : change.coming())
                + (change.leaving().isEmpty() ? " comes in" : " comes in the place of " + list(change.leaving()));
        String stays = change.staying().isEmpty() ? "" : ", and " + list(change.staying()) + " stays in all the while";
        return trials.claim(
                id,
                subject + follows + stays + ", with " + trials.motor() + " without current for 100 ms at the most.",
                result,
                within -> subject + follows + " after " + DurationClaims.range(within, 0) + stays
                        + (within.most().get(1) == 0
                                ? ""
                                : "; " + trials.motor() + " is without current for " + DurationClaims.range(within, 1))
                        + ".");
    }

    private static String list(Set<String> tags) {
        return String.join(" and ", tags);
    }
}
