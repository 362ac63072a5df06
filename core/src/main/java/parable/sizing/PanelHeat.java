package parable.sizing;

import java.util.List;
import parable.ratings.RatingTable;

/** How warm it gets in the enclosure by what is on together (IEC 60890, without openings; IEC/TR 60890 effective surface). */
final class PanelHeat {

    /** What a surface of sheet steel gives off, in W/(m2 K). */
    private static final double STEEL = 5.5;

    /** So many m3 an hour of air carry off a watt a kelvin. */
    private static final double AIR = 3.1;

    private PanelHeat() {}

    /**
     * Something that gives off heat.
     *
     * @param name what it is
     * @param watts how much while it is on, in W
     */
    record Loss(String name, double watts) {}

    /** The loss of a device with poles in W: that at its rated current times the square of the share that flows. */
    static double ofPoles(RatingTable table, String column, double rated, double amperes, int poles) {
        double watts = table.from(rated).orElse(table.most()).number(column).orElse(0);
        double share = Math.min(1, amperes / rated);
        return poles * watts * share * share;
    }

    /** The effective surface in m2 by width, height and depth in m. */
    static double surface(double width, double height, double depth, boolean free) {
        return free
                ? 1.8 * height * (width + depth) + 1.4 * width * depth
                : 1.4 * width * (height + depth) + 1.8 * depth * height;
    }

    static void add(SizingInputs inputs, Chain chain, List<Loss> losses) throws SizingException {
        double sum = losses.stream().mapToDouble(Loss::watts).sum();
        ResultDraft heat = ResultDraft.of("panel-heat", "Heat of what is on together");
        losses.forEach(loss -> heat.from(loss.name(), loss.watts(), "W"));
        RatingTable table = chain.table("losses");
        double watts = chain.add(heat.is(sum, "W")
                .by("the losses of the devices at the current that flows", "")
                .read(table, "by rating")
                .read(chain.table("contactor"), "coils and poles by rating"));
        double area = surface(
                inputs.number(JobQuestion.WIDTH) / 1000,
                inputs.number(JobQuestion.HEIGHT) / 1000,
                inputs.number(JobQuestion.DEPTH) / 1000,
                inputs.is(JobQuestion.MOUNTING, "free"));
        chain.add(ResultDraft.of("panel-surface", "Surface that gives it off")
                .from("width " + inputs.word(JobQuestion.WIDTH))
                .from("height " + inputs.word(JobQuestion.HEIGHT))
                .from("depth " + inputs.word(JobQuestion.DEPTH))
                .is(area, "m²")
                .by(
                        inputs.is(JobQuestion.MOUNTING, "free") ? "1.8 H (W + D) + 1.4 W D" : "1.4 W (H + D) + 1.8 D H",
                        "IEC 60890, effective surface"));
        double room = inputs.number(JobQuestion.ROOM);
        double most = inputs.number(JobQuestion.INSIDE);
        double inside = room + watts / (STEEL * area);
        boolean kept = inside <= most;
        chain.add(ResultDraft.of("panel-temperature", "Temperature inside")
                .follows(chain, "panel-heat")
                .from("room " + inputs.word(JobQuestion.ROOM))
                .is(inside, "°C")
                .by("room + P / (5.5 W/(m² K) × surface)", "IEC 60890; painted sheet steel, air at rest")
                .limit(
                        kept,
                        kept
                                ? "At most " + Figures.written(most) + " °C; no fan is needed."
                                : "It may be at most " + Figures.written(most) + " °C: "
                                        + (most > room
                                                ? "a fan of " + Figures.written(Math.ceil(AIR * watts / (most - room)))
                                                        + " m³/h, or a larger enclosure."
                                                : "the room itself is as warm; it takes cooling.")));
    }
}
