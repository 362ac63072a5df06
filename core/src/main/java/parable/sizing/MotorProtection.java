package parable.sizing;

import java.util.Optional;
import parable.circuit.Practice;
import parable.parts.TripCurve;
import parable.ratings.RatingLine;
import parable.ratings.RatingTable;

/** The protection of a motor's circuit against a short circuit: large enough for the start, and no larger. */
final class MotorProtection {

    /** Trip curves are those of the middle of the band. */
    private static final double MARGIN = 1.5;

    /** The most of the current by the table (NFPA 70, table 430.52(C)(1)). */
    static final double INVERSE_TIME = 2.5;

    private static final double DUAL_ELEMENT = 1.75;
    private static final double NON_TIME_DELAY = 3;
    private static final double INSTANTANEOUS = 8;
    private static final double DISCONNECT = 1.15;

    private MotorProtection() {}

    /** Adds it, and gives the rating in A that goes on. */
    static double add(SizingInputs inputs, Chain chain, double current, MotorStart start) throws SizingException {
        return inputs.practice() == Practice.IEC ? byCurve(inputs, chain, current, start) : byShare(chain, current);
    }

    private static double byCurve(SizingInputs inputs, Chain chain, double current, MotorStart start)
            throws SizingException {
        String sign = inputs.word(MotorQuestion.DEVICE);
        TripCurve curve = TripCurve.named(sign);
        boolean fuse = curve == TripCurve.GG || curve == TripCurve.AM;
        RatingTable table = chain.table(fuse ? "fuse" : "breaker");
        double seconds = Math.max(0.1, start.runUp().map(RunUp::seconds).orElse(1.0));
        ResultDraft draft = ResultDraft.of("protection", fuse ? "Fuse " + sign : "Breaker, curve " + sign)
                .from("current", current, "A")
                .follows(chain, "current", "start-current-of-the-line", "start-time")
                .from("start", start.amperes(), "A")
                .from("for", seconds, "s");
        RatingLine line = table.first(one -> bears(one.amount(), curve, current, start, seconds))
                .orElseThrow(() -> new SizingException(
                        inputs.about() + ", protection",
                        Figures.written(start.amperes()) + " A for " + Figures.written(seconds) + " s",
                        "a start that " + table.most().key() + " A bears"));
        draft.is(line.amount(), "A")
                .by(
                        "the smallest whose curve the start passes below, by half as much time again",
                        "IEC 60947-4-1, 8.2.5 and annex on coordination")
                .read(table, line);
        double chosen = chain.add(draft);
        boolean bears = bears(chosen, curve, current, start, seconds);
        draft.limit(
                bears,
                bears
                        ? "It carries the start for " + time(curve, start.amperes() / chosen) + "."
                        : chosen < current
                                ? "It opens in ordinary work."
                                : "It opens in the start after " + time(curve, start.amperes() / chosen) + ".");
        chain.add(draft, chain.override("protection").isPresent());
        chain.note(
                inputs.is(MotorQuestion.COORDINATION, "type 1")
                        ? "Coordination type 1: after a short circuit contactor and relay may have to be exchanged."
                        : "Coordination type 2: after a short circuit the contactor works on; its maker's table of fuses and breakers decides.");
        return chosen;
    }

    private static String time(TripCurve curve, double multiple) {
        double seconds = curve.secondsAt(multiple);
        return Double.isInfinite(seconds) ? "good" : Figures.written(seconds) + " s";
    }

    /** Whether a rating bears the start: the longest part of it at the most current, as if that flowed all the time of the start. */
    static boolean bears(double rating, TripCurve curve, double current, MotorStart start, double seconds) {
        if (rating < current * (1 - 1e-6)) {
            return false;
        }
        if (start.runUp().isEmpty()) {
            return curve.secondsAt(start.amperes() / rating) >= MARGIN * seconds;
        }
        double worn = 0;
        var points = start.runUp().get().points();
        for (int i = 1; i < points.size(); i++) {
            double lasted = points.get(i).seconds() - points.get(i - 1).seconds();
            worn += lasted / curve.secondsAt(points.get(i - 1).times() * current / rating);
        }
        return worn <= 1 / MARGIN;
    }

    private static double byShare(Chain chain, double current) throws SizingException {
        double breaker = nextUp(
                chain, current, new Share("protection", "Inverse-time breaker at most", INVERSE_TIME, "breaker"));
        nextUp(chain, current, new Share("fuse-dual-element", "Dual-element fuse at most", DUAL_ELEMENT, "fuse"));
        nextUp(chain, current, new Share("fuse-non-time-delay", "Non-time-delay fuse at most", NON_TIME_DELAY, "fuse"));
        chain.add(ResultDraft.of("breaker-instantaneous", "Instantaneous-trip breaker set to at most")
                .from("current", current, "A")
                .follows(chain, "current")
                .is(INSTANTANEOUS * current, "A")
                .by("8 times the current of the table", "NFPA 70, table 430.52(C)(1)"));
        chain.add(ResultDraft.of("disconnect", "Disconnect for at least")
                .from("current", current, "A")
                .follows(chain, "current")
                .is(DISCONNECT * current, "A")
                .by("1.15 times the current of the table", "NFPA 70, 430.110(A)"));
        return breaker;
    }

    private record Share(String key, String name, double times, String table) {}

    private static double nextUp(Chain chain, double current, Share share) throws SizingException {
        RatingTable table = chain.table(share.table());
        double most = share.times() * current;
        RatingLine line = table.from(most).orElse(table.most());
        ResultDraft draft = ResultDraft.of(share.key(), share.name())
                .from("current", current, "A")
                .follows(chain, "current")
                .is(line.amount(), "A")
                .by(
                        Figures.written(share.times()) + " times the current of the table, " + Figures.written(most)
                                + " A, to the next size upwards",
                        "NFPA 70, 430.52(C)(1)")
                .read(table, line);
        double chosen = chain.add(draft);
        Optional<String> other = chain.override(share.key());
        if (other.isPresent()) {
            draft.limit(chosen <= line.amount(), "At most " + line.key() + " A.");
            chain.add(draft, true);
        }
        return chosen;
    }
}
