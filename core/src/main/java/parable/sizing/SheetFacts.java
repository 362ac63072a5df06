package parable.sizing;

import java.util.List;
import parable.bench.Progress;
import parable.check.MotorCircuit;
import parable.circuit.Practice;
import parable.circuit.Sheet;
import parable.parts.Assembly;
import parable.parts.PartException;
import parable.proof.OnTogether;
import parable.ratings.JobTables;

/**
 * What a drawn circuit itself tells, which takes a while to find out and changes with the circuit only.
 *
 * @param assembly the sheet, fitted out
 * @param motors what each motor's current flows through
 * @param together which coils are on together
 */
public record SheetFacts(Assembly assembly, List<MotorCircuit> motors, OnTogether together) {

    /** So many states of a circuit are explored; beyond that all its coils are taken for on together. */
    public static final int MOST_STATES = 300_000;

    /** Not modified: the list is copied. */
    public SheetFacts {
        motors = List.copyOf(motors);
    }

    /**
     * Those of a sheet, with its states explored.
     *
     * @param tables of its job
     * @throws PartException if it cannot be fitted out
     */
    public static SheetFacts explored(Sheet sheet, Practice practice, JobTables tables, Progress progress)
            throws PartException {
        Assembly assembly = Assembly.of(sheet, tables);
        return new SheetFacts(
                assembly, MotorCircuit.of(assembly, practice), OnTogether.of(assembly, MOST_STATES, progress));
    }

    /**
     * Those of a sheet without a look at its states: all its coils are taken for on together.
     *
     * @param tables of its job
     * @throws PartException if it cannot be fitted out
     */
    public static SheetFacts drawn(Sheet sheet, Practice practice, JobTables tables) throws PartException {
        Assembly assembly = Assembly.of(sheet, tables);
        return new SheetFacts(assembly, MotorCircuit.of(assembly, practice), OnTogether.everything(assembly));
    }

    /** The same for a sheet with the same circuit. */
    public SheetFacts on(Assembly other) {
        return new SheetFacts(other, motors, together);
    }
}
