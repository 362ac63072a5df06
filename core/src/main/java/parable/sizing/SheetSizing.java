package parable.sizing;

import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Predicate;
import java.util.stream.Stream;
import parable.check.MotorCircuit;
import parable.circuit.Practice;
import parable.circuit.Sheet;
import parable.circuit.Stated;
import parable.parts.Assembly;
import parable.ratings.RatingTables;

/**
 * All that is sized of one sheet.
 *
 * @param sheet its name
 * @param motors each motor
 * @param supplies each control transformer and DC supply
 * @param brakes each brake with direct current
 * @param differences what of the drawing is not as it is sized
 * @param losses what gives off heat in the panel while most is on together, by device
 */
public record SheetSizing(
        String sheet,
        List<Sized<MotorSizing>> motors,
        List<Sized<ControlSupplySizing>> supplies,
        List<Sized<BrakeSizing>> brakes,
        List<DrawingDifference> differences,
        Map<String, Double> losses) {

    /** Not modified: what is in it is copied. */
    public SheetSizing {
        motors = List.copyOf(motors);
        supplies = List.copyOf(supplies);
        brakes = List.copyOf(brakes);
        differences = List.copyOf(differences);
        losses = Collections.unmodifiableMap(new LinkedHashMap<>(losses));
    }

    /** Said where nothing differs: what was compared, and so what was not. */
    public static final String NOTHING_DIFFERS =
            "What is compared keeps its limits: overload setting, breaker or fuse and contactors of each motor alone, wires at the motor, star time, control transformer and its fuses, DC supply, brake resistor.";

    /**
     * A device with what was sized for it, or why nothing could be.
     *
     * @param <T> what is sized
     * @param tag of the device
     * @param title what it is called
     * @param sizing empty if something makes no sense
     * @param problem what that is; empty if nothing is wrong
     */
    public record Sized<T>(String tag, String title, Optional<T> sizing, String problem) {}

    /** Works out something that may make no sense. */
    @FunctionalInterface
    private interface Trial<T> {
        T go() throws SizingException;
    }

    /** Sizes a sheet. */
    public static SheetSizing of(SheetFacts facts, Practice practice, RatingTables tables) {
        Assembly assembly = facts.assembly();
        List<Sized<MotorSizing>> motors = new ArrayList<>();
        List<Sized<BrakeSizing>> brakes = new ArrayList<>();
        for (MotorCircuit circuit : facts.motors()) {
            String tag = circuit.motor().tag();
            Given given = Given.of(
                    assembly.sheet(), tag, key -> MotorQuestion.ofKey(key).isPresent());
            motors.add(tried(
                    tag,
                    circuit.motor().device().title(),
                    () -> MotorSizing.of(
                            new SizingInputs(
                                    tag,
                                    practice,
                                    List.of(MotorQuestion.values()),
                                    DrawnMotor.of(circuit),
                                    given.answers()),
                            tables,
                            given.overrides())));
            DrawnBrake.of(assembly, circuit)
                    .ifPresent(drawn ->
                            brakes.add(tried(drawn.tag(), "Brake of " + tag, () -> drawn.sized(practice, tables))));
        }
        List<Sized<ControlSupplySizing>> supplies = new ArrayList<>();
        for (DrawnControlSupply drawn : DrawnControlSupply.all(assembly, facts.together())) {
            supplies.add(tried(drawn.tag(), drawn.title(), () -> drawn.sized(practice, tables)));
        }
        for (DrawnDirectSupply drawn : DrawnDirectSupply.all(assembly, facts.together())) {
            supplies.add(tried(drawn.part().tag(), drawn.part().device().title(), () -> drawn.sized(practice, tables)));
        }
        SheetSizing sizing = new SheetSizing(
                assembly.sheet().name(), motors, supplies, brakes, List.of(), Losses.of(facts, supplies, tables));
        List<DrawingDifference> differences = Differences.of(facts, practice, sizing);
        return new SheetSizing(sizing.sheet(), motors, supplies, brakes, differences, sizing.losses());
    }

    private static <T> Sized<T> tried(String tag, String title, Trial<T> trial) {
        try {
            return new Sized<>(tag, title, Optional.of(trial.go()), "");
        } catch (SizingException senseless) {
            return new Sized<>(tag, title, Optional.empty(), senseless.getMessage());
        }
    }

    /**
     * What a sheet states of a device.
     *
     * @param answers to questions, by their keys
     * @param overrides of results, by their keys
     */
    record Given(Map<String, String> answers, Map<String, String> overrides) {

        static Given of(Sheet sheet, String about, Predicate<String> isQuestion) {
            Map<String, String> answers = new LinkedHashMap<>();
            Map<String, String> overrides = new LinkedHashMap<>();
            for (Stated one : sheet.stated()) {
                if (one.about().equals(about)) {
                    (isQuestion.test(one.quantity()) ? answers : overrides).put(one.quantity(), one.value());
                }
            }
            return new Given(answers, overrides);
        }
    }

    /** The sizing of a motor, empty if it has none. */
    public Optional<MotorSizing> motor(String tag) {
        return motors.stream().filter(one -> one.tag().equals(tag)).findFirst().flatMap(Sized::sizing);
    }

    /** What was refused, a sentence each. */
    public List<String> problems() {
        return Stream.of(motors, supplies, brakes)
                .flatMap(List::stream)
                .map(Sized::problem)
                .filter(problem -> !problem.isEmpty())
                .toList();
    }

    /** The results of all devices that break their limit, each with the tag of its device before it. */
    public List<String> failing() {
        List<String> failing = new ArrayList<>();
        motors.forEach(one -> one.sizing().ifPresent(sizing -> add(one.tag(), sizing.results(), failing)));
        supplies.forEach(one -> one.sizing().ifPresent(sizing -> add(one.tag(), sizing.results(), failing)));
        brakes.forEach(one -> one.sizing().ifPresent(sizing -> add(one.tag(), sizing.results(), failing)));
        return failing;
    }

    private static void add(String tag, List<SizingResult> results, List<String> failing) {
        results.stream().filter(SizingResult::fails).forEach(result -> failing.add(tag + ", " + result.failure()));
    }
}
