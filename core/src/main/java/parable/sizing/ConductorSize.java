package parable.sizing;

import java.util.Optional;
import parable.circuit.Practice;
import parable.ratings.RatingLine;
import parable.ratings.RatingTable;

/** Wires by what they carry where they lie, and the protective conductor that goes with them. */
final class ConductorSize {

    private static final double NORTH_AMERICAN_MARGIN = 1.25;

    /** 1.25 times 1 / sqrt3 (NFPA 70, 430.22(C)). */
    private static final double LEADS_OF_WYE_DELTA = 0.72;

    private static final double COLD_TERMINALS_UP_TO = 100;
    private static final double LEAST_METRIC = 1.5;
    private static final String LEAST_GAUGE = "14 AWG";

    private final SizingInputs inputs;
    private final Chain chain;

    private ConductorSize(SizingInputs inputs, Chain chain) {
        this.inputs = inputs;
        this.chain = chain;
    }

    /**
     * Adds {@code wire} and for a star-delta starter {@code leads}.
     *
     * @return the row of the wire from the supply
     */
    static RatingLine add(SizingInputs inputs, Chain chain, double current) throws SizingException {
        ConductorSize size = new ConductorSize(inputs, chain);
        boolean iec = inputs.practice() == Practice.IEC;
        boolean starDelta = inputs.is(MotorQuestion.START, "star-delta");
        ResultDraft wire = ResultDraft.of("wire", starDelta ? "Wire of the line" : "Wire")
                .from("current", current, "A")
                .follows(chain, "current");
        RatingLine line = size.choose(
                wire,
                iec ? current : NORTH_AMERICAN_MARGIN * current,
                iec ? "I / (temperature × grouping) at most the table" : "1.25 times the current of the table (430.22)",
                iec || !starDelta);
        if (starDelta) {
            ResultDraft leads = ResultDraft.of("leads", "Leads to the windings")
                    .from("current", current, "A")
                    .follows(chain, "current");
            size.choose(
                    leads,
                    iec ? current / Math.sqrt(3) : LEADS_OF_WYE_DELTA * current,
                    iec ? "0.58 In / (temperature × grouping)" : "0.72 times the current of the table (430.22(C))",
                    true);
        }
        return line;
    }

    private RatingLine choose(ResultDraft draft, double needed, String how, boolean together) throws SizingException {
        boolean iec = inputs.practice() == Practice.IEC;
        RatingTable table = chain.table("wire");
        String column = iec ? inputs.word(MotorQuestion.METHOD) : terminals(needed);
        double less = temperature(draft, column) * (together ? grouping(draft) : 1);
        double wanted = needed / less;
        Optional<RatingLine> line =
                table.first(one -> isLargeEnough(one) && one.number(column).orElse(0) >= wanted * (1 - 1e-6));
        Optional<String> other = chain.override(draft.key());
        RatingLine chosen = other.isPresent() ? row(draft.key(), other.get()) : line.orElse(table.most());
        double carries = chosen.number(column).orElseThrow();
        draft.is(carries, "A")
                .written(name(chosen) + " (" + Figures.written(carries) + " A)")
                .from("needed", wanted, "A")
                .by(how, "")
                .read(table, name(chosen) + ", " + column)
                .limit(carries >= wanted * (1 - 1e-6), limit(carries, wanted, line.isPresent()));
        chain.add(draft, other.isPresent());
        return chosen;
    }

    private static String limit(double carries, double wanted, boolean inTable) {
        String needed = Figures.written(wanted) + " A that are needed";
        if (carries >= wanted * (1 - 1e-6)) {
            return "It carries the " + needed + ".";
        }
        return inTable
                ? "It does not carry the " + needed + "."
                : "No size of the table carries the " + needed + ": lay several in parallel, or lay them otherwise.";
    }

    private boolean isLargeEnough(RatingLine line) {
        return inputs.practice() == Practice.IEC
                ? line.amount() >= LEAST_METRIC
                : chain.table("wire").lines().indexOf(line)
                        >= chain.table("wire")
                                .lines()
                                .indexOf(chain.table("wire").line(LEAST_GAUGE).orElse(line));
    }

    private String terminals(double needed) {
        return inputs.said(MotorQuestion.TERMINALS).orElse(needed <= COLD_TERMINALS_UP_TO ? "60 °C" : "75 °C");
    }

    private double temperature(ResultDraft draft, String column) throws SizingException {
        boolean iec = inputs.practice() == Practice.IEC;
        double degrees = inputs.number(MotorQuestion.AMBIENT);
        RatingTable table = chain.table("wire-temperature");
        String head = iec ? "PVC" : column;
        RatingLine line = table.from(degrees)
                .filter(one -> one.number(head).isPresent())
                .orElseThrow(() -> new SizingException(
                        inputs.place(MotorQuestion.AMBIENT),
                        inputs.word(MotorQuestion.AMBIENT),
                        "at most "
                                + table.lines().stream()
                                        .filter(one -> one.number(head).isPresent())
                                        .reduce((one, later) -> later)
                                        .orElseThrow()
                                        .key()
                                + " °C, which the table has"));
        double factor = line.number(head).orElseThrow();
        draft.from("temperature", factor, "").read(table, line.key() + " °C");
        return factor;
    }

    private double grouping(ResultDraft draft) throws SizingException {
        boolean iec = inputs.practice() == Practice.IEC;
        double together =
                inputs.quantity(MotorQuestion.GROUPED).orElse(inputs.is(MotorQuestion.START, "star-delta") ? 6.0 : 3.0);
        RatingTable table = chain.table("wire-grouping");
        RatingLine line = table.from(together)
                .orElseThrow(() -> new SizingException(
                        inputs.place(MotorQuestion.GROUPED),
                        Figures.written(together),
                        "at most " + table.most().key() + ", which the table has"));
        double factor =
                line.number(iec ? inputs.word(MotorQuestion.METHOD) : "factor").orElseThrow();
        draft.from("grouping", factor, "").read(table, table.columns().get(0) + " " + line.key());
        return factor;
    }

    /** The row of a size that somebody names. */
    private RatingLine row(String key, String written) throws SizingException {
        RatingTable table = chain.table("wire");
        return table.first(one -> name(one).equals(written.strip()) || one.key().equals(written.strip()))
                .orElseThrow(() -> new SizingException(
                        inputs.about() + ", " + key,
                        written,
                        "one of "
                                + table.lines().stream()
                                        .map(this::name)
                                        .reduce((one, next) -> one + ", " + next)
                                        .orElse("")));
    }

    private String named(String key, String written) throws SizingException {
        return name(row(key, written));
    }

    private String name(RatingLine line) {
        return name(inputs.practice(), line);
    }

    /** The size of a row as it is ordered. */
    static String name(Practice practice, RatingLine line) {
        return practice == Practice.IEC ? line.key() + " mm²" : line.key();
    }

    /**
     * Adds {@code protective-conductor}.
     *
     * @param wire the row of the wire that it goes with
     * @param device the rating of the protection before it, in A
     */
    static void protective(SizingInputs inputs, Chain chain, RatingLine wire, double device) throws SizingException {
        RatingTable table = chain.table("protective-conductor");
        ResultDraft draft = ResultDraft.of("protective-conductor", "Protective conductor");
        Optional<String> other = chain.override("protective-conductor");
        String size;
        if (inputs.practice() == Practice.IEC) {
            RatingLine line = table.line(wire.key()).orElse(table.most());
            size = line.word("PE") + " mm²";
            draft.from("wire " + wire.key() + " mm²")
                    .follows(chain, "wire")
                    .by("by the line conductor beside it", "")
                    .read(table, line);
        } else {
            RatingLine line = table.from(device).orElse(table.most());
            RatingTable wires = chain.table("wire");
            int byDevice = wires.lines().indexOf(wires.line(line.word("AWG")).orElse(wire));
            int own = wires.lines().indexOf(wire);
            size = byDevice > own && own >= 0 ? wire.key() : line.word("AWG");
            draft.from("protection", device, "A")
                    .follows(chain, "wire", "protection")
                    .by("by the protection before it, and no larger than the line conductors (250.122(A))", "")
                    .read(table, line);
        }
        String chosen =
                other.isPresent() ? new ConductorSize(inputs, chain).named("protective-conductor", other.get()) : size;
        draft.written(chosen).is(ProspectiveCurrent.squareMillimetresOf(inputs.practice(), chosen + " ("), "mm²");
        chain.add(draft, other.isPresent());
    }
}
