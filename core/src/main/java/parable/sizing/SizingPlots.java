package parable.sizing;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.DoubleUnaryOperator;
import java.util.function.ToDoubleFunction;
import parable.parts.Heater;
import parable.parts.Protection;
import parable.parts.TripCurve;

/** The plots of one motor: torque and current over the speed, what opens when, and the voltage on the way to it. */
public final class SizingPlots {

    private static final double LONGEST = 10_000;
    private static final double SHORTEST = 0.01;
    private static final int POINTS = 160;
    private static final double WITHSTAND = 115;
    private static final double LONGEST_ADIABATIC = 5;

    private SizingPlots() {}

    /**
     * All plots of a motor that can be drawn.
     *
     * @param device the protection that is drawn, empty if none is
     * @param relay the overload release that is drawn, empty if none is
     */
    public static List<Plot> of(MotorSizing sized, Optional<Protection> device, Optional<Heater> relay) {
        List<Plot> plots = new ArrayList<>();
        if (!sized.start().curves().isEmpty()) {
            plots.add(speed(sized));
        }
        plots.add(times(sized, device, relay));
        plots.add(voltage(sized));
        return plots;
    }

    private static Plot speed(MotorSizing sized) {
        List<List<RunUp.RunUpPoint>> curves = sized.start().curves();
        List<RunUp.RunUpPoint> direct = curves.get(0);
        List<Plot.PlotCurve> drawn = new ArrayList<>();
        drawn.add(bySpeed(
                "Torque" + (curves.size() > 1 ? " in delta" : ""),
                Plot.CurveStroke.MOTOR,
                direct,
                RunUp.RunUpPoint::torque));
        drawn.add(bySpeed(
                "Current" + (curves.size() > 1 ? " in delta" : ""),
                Plot.CurveStroke.DEVICE,
                direct,
                RunUp.RunUpPoint::times));
        if (curves.size() > 1) {
            drawn.add(bySpeed("Torque in star", Plot.CurveStroke.MOTOR, curves.get(1), RunUp.RunUpPoint::torque));
            drawn.add(bySpeed("Current in star", Plot.CurveStroke.DEVICE, curves.get(1), RunUp.RunUpPoint::times));
        }
        drawn.add(bySpeed("Load", Plot.CurveStroke.LOAD, direct, RunUp.RunUpPoint::resistance));
        sized.result("change-current").ifPresent(change -> changeAt(sized)
                .ifPresent(speed -> drawn.add(new Plot.PlotCurve(
                        "Change to delta",
                        Plot.CurveStroke.LIMIT,
                        List.of(
                                new Plot.PlotPoint(100 * speed, 0),
                                new Plot.PlotPoint(100 * speed, change.value()))))));
        double most = direct.stream().mapToDouble(RunUp.RunUpPoint::times).max().orElse(1);
        return new Plot(
                "Torque and current over the speed",
                new Plot.PlotAxis("Speed", "%", 0, 100, false),
                new Plot.PlotAxis("Times rated", "x", 0, Math.ceil(most - 1e-6), false),
                drawn);
    }

    /** The share of the speed at which star is changed to delta, empty without a way up. */
    private static Optional<Double> changeAt(MotorSizing sized) {
        double set = sized.result("timer").map(SizingResult::value).orElse(0.0);
        return sized.start()
                .runUp()
                .flatMap(way -> way.points().stream()
                        .filter(point -> point.seconds() <= set)
                        .reduce((one, later) -> later))
                .map(RunUp.RunUpPoint::speed);
    }

    private static Plot.PlotCurve bySpeed(
            String name,
            Plot.CurveStroke stroke,
            List<RunUp.RunUpPoint> points,
            ToDoubleFunction<RunUp.RunUpPoint> what) {
        return new Plot.PlotCurve(
                name,
                stroke,
                points.stream()
                        .map(point -> new Plot.PlotPoint(100 * point.speed(), what.applyAsDouble(point)))
                        .toList());
    }

    private static Plot times(MotorSizing sized, Optional<Protection> device, Optional<Heater> relay) {
        double current = value(sized, "current");
        Plot.PlotAxis across = new Plot.PlotAxis("Current", "A", current / 2, current * 60, true);
        Plot.PlotAxis up = new Plot.PlotAxis("Time", "s", SHORTEST, LONGEST, true);
        List<Plot.PlotCurve> curves = new ArrayList<>();
        sized.start().runUp().ifPresent(way -> curves.add(start(way, current)));
        TripCurve curve = TripCurve.named(sized.inputs().word(MotorQuestion.DEVICE));
        double rated = device.map(Protection::amperes).orElseGet(() -> value(sized, "protection"));
        TripCurve fitted = device.flatMap(Protection::curve).orElse(curve);
        curves.add(byCurrent(
                (fitted == TripCurve.GG || fitted == TripCurve.AM ? "Fuse " : "Breaker ") + fitted.sign() + " "
                        + Figures.written(rated) + " A",
                Plot.CurveStroke.DEVICE,
                across,
                amperes -> fitted.secondsAt(amperes / rated)));
        double share = OverloadChoice.isInWinding(sized.inputs()) ? 1 / Math.sqrt(3) : 1;
        Heater release = relay.orElseGet(() -> Heater.ofClass(
                sized.inputs().word(MotorQuestion.TRIP_CLASS), value(sized, "overload"), 1, false, true));
        curves.add(byCurrent(
                "Overload relay at " + Figures.written(release.setting()) + " A",
                Plot.CurveStroke.DEVICE,
                across,
                amperes ->
                        release.secondsTo(Heater.TRIPS_AT, 0, share * amperes).orElse(Double.POSITIVE_INFINITY)));
        double square = ProspectiveCurrent.squareMillimetresOf(sized.inputs().practice(), wire(sized));
        curves.add(byCurrent(
                "Wire " + wire(sized).substring(0, wire(sized).indexOf(" (")) + " is damaged",
                Plot.CurveStroke.LIMIT,
                across,
                amperes -> Math.pow(WITHSTAND * square / amperes, 2) <= LONGEST_ADIABATIC
                        ? Math.pow(WITHSTAND * square / amperes, 2)
                        : Double.POSITIVE_INFINITY));
        return new Plot("What opens when", across, up, curves);
    }

    private static String wire(MotorSizing sized) {
        return sized.result("wire").orElseThrow().written();
    }

    private static double value(MotorSizing sized, String key) {
        return sized.result(key).orElseThrow().value();
    }

    /** The current of the start over its time, from the least to the most, as a staircase that goes on from one to the other. */
    private static Plot.PlotCurve start(RunUp way, double current) {
        List<Plot.PlotPoint> points = new ArrayList<>();
        double least = way.last().times() * current;
        points.add(new Plot.PlotPoint(least, LONGEST));
        for (int i = way.points().size() - 1; i > 0; i--) {
            RunUp.RunUpPoint point = way.points().get(i);
            double amperes = Math.max(points.get(points.size() - 1).across(), point.times() * current);
            points.add(new Plot.PlotPoint(amperes, Math.max(SHORTEST, point.seconds())));
        }
        points.add(new Plot.PlotPoint(points.get(points.size() - 1).across(), SHORTEST));
        return new Plot.PlotCurve("Start of the motor", Plot.CurveStroke.MOTOR, points);
    }

    private static Plot.PlotCurve byCurrent(
            String name, Plot.CurveStroke stroke, Plot.PlotAxis across, DoubleUnaryOperator seconds) {
        List<Plot.PlotPoint> points = new ArrayList<>();
        for (int i = 0; i <= POINTS; i++) {
            double amperes = across.value((double) i / POINTS);
            double time = seconds.applyAsDouble(amperes);
            if (time <= LONGEST) {
                points.add(new Plot.PlotPoint(amperes, Math.max(SHORTEST, time)));
            }
        }
        return new Plot.PlotCurve(name, stroke, points);
    }

    private static Plot voltage(MotorSizing sized) {
        double metres = sized.inputs().number(MotorQuestion.LENGTH);
        double supply = FullLoadCurrent.supplyVolts(sized.inputs());
        double running = value(sized, "drop");
        double starting = value(sized, "start-drop");
        double least = supply
                * (1
                        - Math.max(
                                sized.inputs().number(MotorQuestion.START_DROP_LIMIT) / 100 * 1.2,
                                1.1 * Math.max(running, starting) / supply));
        return new Plot(
                "Voltage on the way to the motor",
                new Plot.PlotAxis("Way", "m", 0, metres, false),
                new Plot.PlotAxis("Voltage", "V", Math.max(0, least), supply * 1.01, false),
                List.of(
                        line("Running", Plot.CurveStroke.MOTOR, metres, supply, supply - running),
                        line("At the start", Plot.CurveStroke.LOAD, metres, supply, supply - starting),
                        level(
                                "Least while running",
                                metres,
                                supply,
                                sized.inputs().number(MotorQuestion.DROP_LIMIT)),
                        level(
                                "Least at the start",
                                metres,
                                supply,
                                sized.inputs().number(MotorQuestion.START_DROP_LIMIT))));
    }

    private static Plot.PlotCurve level(String name, double metres, double supply, double percent) {
        double volts = supply * (1 - percent / 100);
        return line(name, Plot.CurveStroke.LIMIT, metres, volts, volts);
    }

    private static Plot.PlotCurve line(String name, Plot.CurveStroke stroke, double metres, double from, double to) {
        return new Plot.PlotCurve(name, stroke, List.of(new Plot.PlotPoint(0, from), new Plot.PlotPoint(metres, to)));
    }

    /** The voltage along the feeder of a job, empty where it has no motors. */
    public static Optional<Plot> of(JobSizing sized) {
        Optional<SizingResult> running = sized.result("feeder-drop");
        Optional<SizingResult> peak = sized.result("feeder-peak-drop");
        if (running.isEmpty() || peak.isEmpty() || sized.inputs().isEmpty()) {
            return Optional.empty();
        }
        double metres = sized.inputs().get().number(JobQuestion.FEEDER_LENGTH);
        double supply = ProspectiveCurrent.volts(sized.inputs().get().practice());
        double lost = Math.max(running.get().value(), peak.get().value());
        return Optional.of(new Plot(
                "Voltage along the feeder",
                new Plot.PlotAxis("Way", "m", 0, metres, false),
                new Plot.PlotAxis(
                        "Voltage",
                        "V",
                        Math.max(0, supply - Math.max(0.06 * supply, 1.2 * lost)),
                        supply * 1.005,
                        false),
                List.of(
                        line(
                                "All run",
                                Plot.CurveStroke.MOTOR,
                                metres,
                                supply,
                                supply - running.get().value()),
                        line(
                                "At the peak",
                                Plot.CurveStroke.LOAD,
                                metres,
                                supply,
                                supply - peak.get().value()),
                        level("5 % below", metres, supply, 5))));
    }

    /** The voltage along the control run to the last coil that pulls in. */
    public static Plot of(ControlSupplySizing sized) {
        double metres = sized.inputs().number(ControlQuestion.LENGTH);
        double share = sized.result("control-voltage").map(SizingResult::value).orElse(100.0);
        double coil = sized.result("coil-voltage").map(SizingResult::value).orElse(share);
        return new Plot(
                "Voltage along the control run while the last coil pulls in",
                new Plot.PlotAxis("Way", "m", 0, metres, false),
                new Plot.PlotAxis("Voltage", "%", Math.min(70, 0.95 * coil), 101, false),
                List.of(
                        line("On the way to the coil", Plot.CurveStroke.MOTOR, metres, share, coil),
                        line("Least at the transformer", Plot.CurveStroke.LIMIT, metres, 90, 90),
                        line("A coil pulls in at", Plot.CurveStroke.LIMIT, metres, 85, 85)));
    }
}
