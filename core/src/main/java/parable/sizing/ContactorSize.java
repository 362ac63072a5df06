package parable.sizing;

import java.util.Optional;
import parable.check.HeavyDuty;
import parable.circuit.Practice;
import parable.parts.RatedCurrent;
import parable.ratings.RatingLine;
import parable.ratings.RatingTable;

/** Contactors: by what they carry, make and break. */
final class ContactorSize {

    /** A motor that has not come up takes so much when it is switched (IEC 60947-4-1, table 7: AC-4). */
    private static final double MAKES = 6;

    /** No contactor is made for more. */
    private static final double MOST_MILLION = 10;

    /** The shares of the motor's current in line and delta contactor, and in that of the star point: 1 / sqrt3 and 1 / 3. */
    private static final double OF_DELTA = 1 / Math.sqrt(3);

    private static final double OF_STAR = 1.0 / 3;

    private ContactorSize() {}

    static void add(SizingInputs inputs, Chain chain, double current) throws SizingException {
        if (inputs.practice() == Practice.NORTH_AMERICAN) {
            northAmerican(inputs, chain);
        } else if (inputs.is(MotorQuestion.START, "star-delta")) {
            frame(
                    chain,
                    ResultDraft.of("contactor", "Line contactor")
                            .from("current", current, "A")
                            .follows(chain, "current"),
                    OF_DELTA * current,
                    "0.58 In, AC-3");
            frame(
                    chain,
                    ResultDraft.of("contactor-delta", "Delta contactor")
                            .from("current", current, "A")
                            .follows(chain, "current"),
                    OF_DELTA * current,
                    "0.58 In, AC-3");
            frame(
                    chain,
                    ResultDraft.of("contactor-star", "Star contactor")
                            .from("current", current, "A")
                            .follows(chain, "current"),
                    OF_STAR * current,
                    "0.33 In, AC-3");
        } else if (isHeavy(inputs)) {
            makes(chain, current);
            heavy(inputs, chain, current);
        } else {
            frame(
                    chain,
                    ResultDraft.of("contactor", "Contactor")
                            .from("current", current, "A")
                            .follows(chain, "current"),
                    current,
                    "AC-3, at least In");
        }
    }

    /** Adds how long the contactor lasts by what it breaks: that of its plate at its rated current, less with the square of what is broken. */
    static void addLife(SizingInputs inputs, Chain chain, double current) throws SizingException {
        Optional<SizingResult> contactor = chain.result("contactor");
        if (contactor.isEmpty()) {
            return;
        }
        double broken = isHeavy(inputs) ? MAKES * current : carried(inputs, current, "contactor");
        double share = contactor.get().value() / broken;
        double million = Math.min(MOST_MILLION, inputs.number(MotorQuestion.OPERATIONS) * share * share);
        double hourly = inputs.number(MotorQuestion.STARTS);
        chain.add(ResultDraft.of("contactor-life", "Contacts of the contactor last for")
                .follows(chain, "current", "contactor")
                .from("breaks", broken, "A")
                .from("rated " + contactor.get().written())
                .is(million, "million")
                .written(Figures.written(million) + " million operations"
                        + (hourly > 0
                                ? ", " + Figures.written(Math.floor(1e6 * million / hourly)) + " h at "
                                        + Figures.written(hourly) + " an hour"
                                : ""))
                .by(
                        "the operations at rated current × (rated / broken)², and 10 million at most",
                        "IEC 60947-4-1, annex B, as a first guess; the maker's curve decides"));
    }

    /** What a contactor of a result carries at rated load, in A. */
    static double carried(SizingInputs inputs, double current, String key) {
        if (!inputs.is(MotorQuestion.START, "star-delta")) {
            return current;
        }
        return key.equals("contactor-star") ? OF_STAR * current : OF_DELTA * current;
    }

    static boolean isHeavy(SizingInputs inputs) {
        return inputs.is(MotorQuestion.DUTY, "jogging");
    }

    private static void makes(Chain chain, double current) throws SizingException {
        chain.add(ResultDraft.of("makes-and-breaks", "Makes and breaks")
                .from("current", current, "A")
                .follows(chain, "current")
                .is(MAKES * current, "A")
                .by("6 In each time it is jogged or plugged", "IEC 60947-4-1, table 7, AC-4"));
    }

    /** The next frame that carries so many A. */
    private static void frame(Chain chain, ResultDraft draft, double amperes, String how) throws SizingException {
        RatingTable table = chain.table("contactor");
        RatingLine line = table.from(amperes).orElse(table.most());
        draft.is(line.amount(), "A").by(how, "IEC 60947-4-1").read(table, line);
        double chosen = chain.add(draft);
        draft.limit(
                chosen >= amperes * (1 - 1e-6),
                (chosen >= amperes * (1 - 1e-6) ? "At least " : "It takes at least ") + Figures.written(amperes)
                        + " A in AC-3.");
        chain.add(draft, chain.override(draft.key()).isPresent());
    }

    private static void heavy(SizingInputs inputs, Chain chain, double current) throws SizingException {
        double kilowatts = HeavyDuty.TIMES * inputs.number(MotorQuestion.POWER);
        RatingTable table = chain.table("contactor");
        RatingLine line = table.first(one -> one.number("kW").orElse(0) >= kilowatts * (1 - 1e-6))
                .orElse(table.most());
        ResultDraft draft = ResultDraft.of("contactor", "Contactor")
                .from("current", current, "A")
                .follows(chain, "current")
                .from("power " + inputs.word(MotorQuestion.POWER))
                .is(line.amount(), "A")
                .written(Figures.written(line.amount()) + " A (AC-3, " + line.word("kW") + " kW), or one with AC-4 of "
                        + Figures.written(current) + " A")
                .by("an AC-3 frame of at least twice the power, unless a data sheet says AC-4", "IEC 60947-4-1, AC-4")
                .read(table, line);
        double chosen = chain.add(draft);
        draft.limit(
                chosen >= line.amount(),
                "At least " + Figures.written(kilowatts) + " kW in AC-3, or " + Figures.written(current)
                        + " A in AC-4.");
        chain.add(draft, chain.override("contactor").isPresent());
    }

    private static void northAmerican(SizingInputs inputs, Chain chain) throws SizingException {
        boolean wyeDelta = inputs.is(MotorQuestion.START, "star-delta");
        RatingTable table = chain.table(wyeDelta ? "contactor-wye-delta" : "contactor");
        double horsepower = inputs.number(MotorQuestion.POWER) / RatedCurrent.HORSEPOWER;
        String volts = FullLoadCurrent.column(inputs).orElse(inputs.word(MotorQuestion.VOLTAGE));
        String usual = volts.equals("208 V") ? "200 V" : volts.equals("115 V") ? "200 V" : volts;
        String column = (isHeavy(inputs) && !wyeDelta ? "jog hp " : "hp ") + usual;
        if (!table.has(column)) {
            chain.note("The sizes of contactors are not stated for " + volts + "; choose by a data sheet.");
            return;
        }
        Optional<RatingLine> line = table.first(one -> one.number(column).orElse(0) >= horsepower * (1 - 0.01));
        if (line.isEmpty()) {
            chain.note("No size of the table is for " + Figures.written(horsepower) + " hp; choose by a data sheet.");
            return;
        }
        ResultDraft draft = ResultDraft.of("contactor", "Contactor")
                .from("power " + inputs.word(MotorQuestion.POWER))
                .is(line.get().amount(), "A")
                .written("size " + line.get().word("size") + ", " + line.get().key() + " A")
                .by(isHeavy(inputs) ? "the column for jogging and plugging" : "the column for ordinary duty", "")
                .read(table, "size " + line.get().word("size") + ", " + column);
        double chosen = chain.add(draft);
        draft.limit(
                chosen >= line.get().amount(),
                "Size " + line.get().word("size") + " or larger for " + Figures.written(horsepower) + " hp.");
        chain.add(draft, chain.override("contactor").isPresent());
    }
}
