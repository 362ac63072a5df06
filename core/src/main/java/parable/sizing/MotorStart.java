package parable.sizing;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import parable.circuit.Practice;
import parable.parts.Heater;
import parable.parts.RatedCurrent;
import parable.ratings.RatingTable;

/**
 * How a motor starts: what it takes, how long, whether its overload relay bears it, when star is changed to delta and how often an hour it may.
 *
 * @param amperes what the line carries at standstill, in A
 * @param runUp the way up as it is switched, empty for a motor without a model
 * @param curves torque and current over the speed, direct or in delta first, then in star if it starts so; empty without a model
 */
public record MotorStart(double amperes, Optional<RunUp> runUp, List<List<RunUp.RunUpPoint>> curves) {

    private static final double TIMES_WITHOUT_MODEL = 6;
    private static final double THIRD = 1.0 / 3;
    private static final double TIMER_STEP = 0.5;
    private static final double HOUR = 3600;
    private static final List<String> CLASSES = List.of("10A", "10", "20", "30");

    /** Not modified: the lists are copied. */
    public MotorStart {
        curves = List.copyOf(curves);
    }

    /** Adds what the start is like. */
    static MotorStart add(SizingInputs inputs, Chain chain, double current) throws SizingException {
        boolean star = inputs.is(MotorQuestion.START, "star-delta");
        ResultDraft draft = ResultDraft.of("start-current-of-the-line", "Current at the start")
                .from("current", current, "A");
        Standstill standstill = standstill(inputs, chain, current, draft);
        double direct = standstill.amperes();
        if (star) {
            draft.is(direct * THIRD, "A");
            draft.from("in star a third of it");
        }
        double starting = chain.add(draft);
        if (!inputs.is(MotorQuestion.FEED, "three-phase")) {
            return new MotorStart(starting, Optional.empty(), List.of());
        }
        RunUp.Model model = new RunUp.Model(inputs, direct / current);
        boolean ofEdited = standstill.byTable() && (draft.isOfEdited() || chain.isOfEdited("current"));
        RunUp way = star ? starDelta(chain, model, ofEdited) : model.to(RunUp.UP, false);
        addTime(inputs, chain, way, ofEdited);
        addStarts(inputs, chain, way, ofEdited);
        return new MotorStart(
                starting,
                Optional.of(way),
                star ? List.of(model.curve(false), model.curve(true)) : List.of(model.curve(false)));
    }

    /**
     * What a motor takes at standstill, switched directly.
     *
     * @param amperes in A
     * @param byTable whether by the table of such currents, otherwise so many times the rated current
     */
    private record Standstill(double amperes, boolean byTable) {}

    private static Standstill standstill(SizingInputs inputs, Chain chain, double current, ResultDraft draft)
            throws SizingException {
        Optional<Double> stated = inputs.quantity(MotorQuestion.START_CURRENT);
        if (stated.isEmpty()
                && inputs.practice() == Practice.NORTH_AMERICAN
                && inputs.is(MotorQuestion.FEED, "three-phase")) {
            RatingTable table = chain.table("locked-rotor");
            String column = FullLoadCurrent.column(inputs).orElse("");
            double horsepower = inputs.number(MotorQuestion.POWER) / RatedCurrent.HORSEPOWER;
            Optional<Double> locked = table.has(column) ? table.between(horsepower, column) : Optional.empty();
            if (locked.isPresent()) {
                draft.is(locked.get(), "A")
                        .by("the current at standstill by the table", "")
                        .read(table, Figures.written(horsepower) + " hp, " + column);
                return new Standstill(locked.get(), true);
            }
        }
        double times = stated.orElse(TIMES_WITHOUT_MODEL);
        draft.follows(chain, "current")
                .from("start", times, "In")
                .is(times * current, "A")
                .by("so many times the rated current", "the motor's data sheet; 7 is usual where nothing is stated");
        return new Standstill(times * current, false);
    }

    private static RunUp starDelta(Chain chain, RunUp.Model model, boolean ofEdited) throws SizingException {
        RunUp star = model.to(RunUp.CHANGE, true);
        RunUp.RunUpPoint standstill = star.points().get(0);
        chain.add(ResultDraft.of("star-torque", "Torque at the start in star")
                .follows(ofEdited)
                .is(100 * standstill.torque(), "%")
                .by(
                        "a third of the torque of a direct start, of rated torque",
                        "IEC 60034-12, design N, by the model of the bench")
                .limit(
                        standstill.torque() > standstill.resistance(),
                        (standstill.torque() > standstill.resistance()
                                        ? "The load takes "
                                        : "It does not turn: the load takes ")
                                + Figures.written(100 * standstill.resistance()) + " % at standstill."));
        double seconds = star.seconds();
        chain.add(ResultDraft.of("star-time", "Time in star to 80 % of the speed")
                .follows(ofEdited)
                .is(seconds, "s")
                .by("the torque that is left over, summed up to 80 % of the speed", "by the model of the bench")
                .limit(
                        star.arrives(),
                        star.arrives()
                                ? "It comes up in star."
                                : "It stays at "
                                        + Figures.written(100 * star.last().speed())
                                        + " % of the speed: the load takes more than star gives."));
        ResultDraft timer = ResultDraft.of("timer", "Timer from star to delta set to")
                .follows(ofEdited)
                .from("time to 80 %", seconds, "s")
                .is(Math.max(TIMER_STEP, TIMER_STEP * Math.ceil(seconds / TIMER_STEP)), "s")
                .by("the next half second from the time to 80 % on", "practice");
        double set = chain.add(timer);
        RunUp before = star.arrives() && set > seconds ? star.then(waiting(model, star, set)) : upTo(star, set);
        RunUp.RunUpPoint change = model.at(set, before.last().speed(), false);
        timer.limit(
                before.last().speed() >= RunUp.CHANGE * 0.99,
                before.last().speed() >= RunUp.CHANGE * 0.99
                        ? "Not before " + Figures.written(seconds)
                                + " s: an earlier change takes nearly the current of a direct start."
                        : "Too early: at " + Figures.written(100 * before.last().speed())
                                + " % of the speed the change takes " + Figures.written(change.times()) + " In.");
        chain.add(timer, chain.override("timer").isPresent());
        chain.add(ResultDraft.of("change-current", "Peak at the change to delta")
                .follows(ofEdited)
                .is(change.times(), "In")
                .by(
                        "the current in delta at the speed of the change; what the switching itself adds is left out",
                        "by the model of the bench"));
        return before.then(model.from(change, RunUp.UP, false));
    }

    /** In star until the timer changes. */
    private static RunUp waiting(RunUp.Model model, RunUp star, double until) {
        RunUp on = model.from(star.last(), 1, true);
        return upTo(on, until);
    }

    private static RunUp upTo(RunUp way, double until) {
        List<RunUp.RunUpPoint> points =
                way.points().stream().filter(point -> point.seconds() <= until).toList();
        RunUp.RunUpPoint last = points.get(points.size() - 1);
        List<RunUp.RunUpPoint> whole = new ArrayList<>(points);
        whole.add(new RunUp.RunUpPoint(until, last.speed(), last.torque(), last.resistance(), last.times()));
        return new RunUp(whole, way.arrives());
    }

    private static void addTime(SizingInputs inputs, Chain chain, RunUp way, boolean ofEdited) throws SizingException {
        double seconds = way.seconds();
        chain.add(ResultDraft.of("start-time", "Time of the start")
                .follows(ofEdited)
                .from("drives " + inputs.word(MotorQuestion.DRIVES))
                .from("load " + inputs.word(MotorQuestion.LOAD))
                .is(seconds, "s")
                .by("the torque that is left over, summed up to 94 % of the speed", "by the model of the bench")
                .limit(
                        way.arrives(),
                        way.arrives()
                                ? "It comes up to speed."
                                : "It stays at "
                                        + Figures.written(100 * way.last().speed())
                                        + " % of the speed: the load is too heavy."));
    }

    /** Adds whether the class of the relay bears the start. */
    static void addClass(SizingInputs inputs, Chain chain, RunUp way, double set) throws SizingException {
        double current = chain.result("motor-current")
                .or(() -> chain.result("current"))
                .orElseThrow()
                .value();
        double there = OverloadChoice.isInWinding(inputs) ? 1 / Math.sqrt(3) : 1;
        String fitted = inputs.word(MotorQuestion.TRIP_CLASS);
        double heat = way.heat(release(fitted, set), current, there);
        String first = CLASSES.stream()
                .filter(one -> way.heat(release(one, set), current, there) < 1)
                .findFirst()
                .map(one -> "; class " + one + " bears it.")
                .orElse(
                        "; no class bears it: it takes another way of starting, or a relay that is bridged for the start.");
        chain.add(ResultDraft.of("overload-class", "Trip class " + fitted + ", warmed by a cold start to")
                .follows(chain, "current", "motor-current", "overload", "start-time")
                .from("set to", set, "A")
                .from("time of the start", way.seconds(), "s")
                .is(100 * heat, "%")
                .by(
                        "the square of the current over the time, cooling meanwhile, of the heat at which it trips",
                        "IEC 60947-4-1, table 2, middle of the band")
                .limit(heat < 1, heat < 1 ? "It bears the start." : "It trips in the start" + first));
    }

    private static Heater release(String tripClass, double set) {
        return Heater.ofClass(tripClass, set, 1, false, true);
    }

    private static void addStarts(SizingInputs inputs, Chain chain, RunUp way, boolean ofEdited)
            throws SizingException {
        double load = Math.min(1, inputs.number(MotorQuestion.LOAD) / 100);
        double most = Math.floor(HOUR * (1 - load * load) / Math.max(1e-3, way.squareSeconds()));
        double asked = inputs.number(MotorQuestion.STARTS);
        chain.add(ResultDraft.of("starts-an-hour", "Starts or jogs an hour at most")
                .follows(ofEdited)
                .from("load " + inputs.word(MotorQuestion.LOAD))
                .from("start", way.squareSeconds(), "In² s")
                .is(most, "")
                .by(
                        "3,600 s (1 - load²) / the sum of (I/In)² over a start: the mean heat of an hour is that of rated load",
                        "IEC 60034-1, duty type S4, as a first guess; the motor's data sheet decides")
                .limit(
                        asked <= most,
                        asked <= most
                                ? Figures.written(asked) + " are asked for."
                                : Figures.written(asked) + " are asked for: the motor overheats."));
    }
}
