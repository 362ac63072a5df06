package parable.check;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.CancellationException;
import java.util.function.BooleanSupplier;
import java.util.stream.Stream;
import parable.circuit.ColourCode;
import parable.parts.Assembly;

/**
 * All rules. Some read how the circuit is joined, others try the starter by hand on the bench in the usual ways, at nominal times. A
 * rule that finds nothing has not proved anything.
 */
public final class Check {

    private static final List<Rule> READING = List.of(
            new InterlockRule(),
            new ReversalRule(),
            new OverloadRule(),
            new OverloadSettingRule(),
            new OverloadPhaseRule(),
            new RatingRule(),
            new ContactorRatingRule(),
            new LampRule(),
            new MotorVoltageRule(),
            new FuseRule(),
            new DeviceSettingRule(),
            new JogRule(),
            new LoadlessRungRule(),
            new ReturnSideRule(),
            new ProtectionRule(),
            new DisconnectRule(),
            new ProtectiveConductorRule(),
            new ConverterRule(),
            new ExceptedCircuitRule(),
            new BrakeRule(),
            new ControlVoltageRule(),
            new ControlSupplyRule(),
            new PaperRule(),
            new OpenStopRule(),
            new ContactorStaysInRule(),
            new PoleRule(),
            new ChangeoverRule(),
            new TimerRule(),
            new ColourRule(),
            new ConductorsRule(),
            new ProgramReadingRule(),
            new ProgramInputRule(),
            new ProgramSealRule(),
            new ProgramCopperRule(),
            new ProgramPaperRule());

    private static final List<Rule> TRYING = List.of(
            new ShortRule(),
            new StopRule(),
            new StopPassedRule(),
            new RestartRule(),
            new StartRule(),
            new VoltageRule(),
            new SequenceRule(),
            new HeavyDutyRule(),
            new FieldLossRule(),
            new EndlessBrakingRule(),
            new SuppressorRule());

    private Check() {}

    /**
     * Everything that the rules find on an assembled sheet, the worst first, then in the order of the rules.
     *
     * @param colours which colours operators and lamps may have
     */
    public static List<Finding> of(Assembly assembly, ColourCode colours) {
        return of(assembly, colours, () -> false).orElseThrow();
    }

    /**
     * Everything that the rules find on an assembled sheet, in the same order.
     *
     * @param colours which colours operators and lamps may have
     * @param cancelled asked now and then; may be asked from the calling thread only
     * @return empty if it was cancelled
     */
    public static Optional<List<Finding>> of(Assembly assembly, ColourCode colours, BooleanSupplier cancelled) {
        Study study = new Study(assembly, colours, cancelled);
        try {
            return Optional.of(found(Stream.concat(TRYING.stream(), READING.stream()), study));
        } catch (CancellationException notWanted) {
            return Optional.empty();
        }
    }

    /** What those rules find that only read the circuit, without trying it: at once, also on a large sheet. */
    public static List<Finding> reading(Assembly assembly, ColourCode colours) {
        return found(READING.stream(), new Study(assembly, colours, () -> false));
    }

    /**
     * The same as far as there is time for it, rule by rule.
     *
     * @param over asked now and then; the rule that is at work when it says so, and all behind it, find nothing
     */
    public static List<Finding> reading(Assembly assembly, ColourCode colours, BooleanSupplier over) {
        Study study = new Study(assembly, colours, over);
        return found(READING.stream().map(rule -> (Rule) asked -> findings(rule, asked, over)), study);
    }

    private static List<Finding> findings(Rule rule, Study study, BooleanSupplier over) {
        try {
            return over.getAsBoolean() ? List.of() : rule.findings(study);
        } catch (CancellationException outOfTime) {
            return List.of();
        }
    }

    private static List<Finding> found(Stream<Rule> rules, Study study) {
        return rules.flatMap(rule -> rule.findings(study).stream())
                .distinct()
                .sorted(Comparator.comparing(Finding::severity))
                .toList();
    }
}
