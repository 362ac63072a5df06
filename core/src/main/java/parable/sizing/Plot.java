package parable.sizing;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * Curves on one sheet of paper, as numbers.
 *
 * @param title what it shows
 * @param across the axis from left to right
 * @param up the axis from below upwards
 * @param curves in the order in which they are told
 */
public record Plot(String title, PlotAxis across, PlotAxis up, List<PlotCurve> curves) {

    /** Not modified: the list is copied. */
    public Plot {
        curves = List.copyOf(curves);
    }

    /**
     * An axis.
     *
     * @param name what is along it
     * @param unit in which; empty for a plain number
     * @param least where it begins; above 0 if it is logarithmic
     * @param most where it ends
     * @param logarithmic whether each decade is as long as the others
     */
    public record PlotAxis(String name, String unit, double least, double most, boolean logarithmic) {

        private static final double FEW_DECADES = 1000;

        /** Where a value is, from 0 at the beginning to 1 at the end, and beyond. */
        public double place(double value) {
            return logarithmic ? Math.log(value / least) / Math.log(most / least) : (value - least) / (most - least);
        }

        /** The value at a place from 0 to 1. */
        public double value(double place) {
            return logarithmic ? least * Math.pow(most / least, place) : least + place * (most - least);
        }

        /** The values at which it has a line: each decade of a logarithmic axis, where there are few also their 2 and 5; else four to eight even ones. */
        public List<Double> marks() {
            List<Double> marks = new ArrayList<>();
            if (logarithmic) {
                int[] within = most / least < FEW_DECADES ? new int[] {1, 2, 5} : new int[] {1};
                for (double decade = Math.pow(10, Math.floor(Math.log10(least))); decade <= most; decade *= 10) {
                    for (int times : within) {
                        if (times * decade >= least * (1 - 1e-9) && times * decade <= most * (1 + 1e-9)) {
                            marks.add(times * decade);
                        }
                    }
                }
                return marks;
            }
            double step = Math.pow(10, Math.floor(Math.log10((most - least) / 2)));
            while ((most - least) / step > 8) {
                step *= (most - least) / step > 16 ? 2.5 : 2;
            }
            for (double mark = Math.ceil(least / step - 1e-9) * step; mark <= most + 1e-9 * step; mark += step) {
                marks.add(mark);
            }
            return marks;
        }

        /** A value on it as it is read. */
        public String written(double value) {
            return Figures.written(value) + (unit.isEmpty() ? "" : " " + unit);
        }
    }

    /** How a curve is drawn, so that it is told from the others without colours. */
    public enum CurveStroke {
        /** What the motor does. */
        MOTOR,
        /** What the load takes. */
        LOAD,
        /** What a device does. */
        DEVICE,
        /** What a wire bears, or where a limit is. */
        LIMIT
    }

    /**
     * A curve.
     *
     * @param name what it is
     * @param stroke how it is drawn
     * @param points along it, in the values of both axes, from left to right
     */
    public record PlotCurve(String name, CurveStroke stroke, List<PlotPoint> points) {

        /** Not modified: the list is copied. */
        public PlotCurve {
            points = List.copyOf(points);
        }

        /** Its value at a place across, between two points in proportion; empty where it is not. */
        public Optional<Double> at(double across) {
            for (int i = 1; i < points.size(); i++) {
                PlotPoint from = points.get(i - 1);
                PlotPoint to = points.get(i);
                if (across >= from.across() && across <= to.across()) {
                    double width = to.across() - from.across();
                    double share = width == 0 ? 1 : (across - from.across()) / width;
                    return Optional.of(from.up() + share * (to.up() - from.up()));
                }
            }
            return Optional.empty();
        }
    }

    /**
     * A point of a curve.
     *
     * @param across its value on the axis from left to right
     * @param up its value on the other
     */
    public record PlotPoint(double across, double up) {}

    /** What all curves say at a place across, a line each; the place itself first. */
    public List<String> read(double value) {
        List<String> lines = new ArrayList<>();
        lines.add(across.name() + " " + across.written(value));
        for (PlotCurve curve : curves) {
            curve.at(value).ifPresent(there -> lines.add(curve.name() + ": " + up.written(there)));
        }
        return lines;
    }
}
