package parable.check;

import java.util.ArrayList;
import java.util.BitSet;
import java.util.DoubleSummaryStatistics;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.stream.IntStream;
import parable.network.ContactCurrents;
import parable.network.Solution;
import parable.parts.Contact;
import parable.parts.CurrentKind;
import parable.parts.Family;
import parable.parts.LoadRole;
import parable.parts.Part;

/**
 * The ways in which a sheet's motors can run at full voltage, as the power circuit is drawn: each set of contactors and each position of drum switches in
 * which nothing is shorted. What the control circuit does with them does not count.
 */
final class RunningWays {

    private static final int MOST_CONTACTORS = 8;

    /** On less than this share of its rated voltage a winding is only started, as in star. */
    private static final double FULL = 0.9;

    /** On less than this share a motor does not turn. */
    private static final double TURNS = 0.3;

    /** Less than this in A is no current. */
    private static final double NOTHING = 1e-3;

    private final Study study;
    private final List<Part> parts;
    private final List<Way> ways = new ArrayList<>();
    private final Map<Part, Double> fullest = new LinkedHashMap<>();

    /**
     * One of them.
     *
     * @param solution with everything that is on in it
     * @param motors the motors that have their full voltage
     */
    private record Way(Solution solution, List<Part> motors) {}

    /**
     * What flows through a release in one of the ways.
     *
     * @param amperes through the pole that carries most, at rated load of all that it feeds
     * @param motors the motors whose current that is
     */
    record Carried(double amperes, List<Part> motors) {}

    RunningWays(Study study) {
        this.study = study;
        parts = study.assembly().parts();
        List<Part> contactors =
                study.switchingContactors().limit(MOST_CONTACTORS).toList();
        int positions = study.parts(Family.DRUM_SWITCH)
                .mapToInt(drum -> drum.contacts().stream()
                                .mapToInt(contact -> last(contact))
                                .max()
                                .orElse(0)
                        + 1)
                .max()
                .orElse(1);
        for (int in = 0; in < 1 << contactors.size(); in++) {
            for (int position = 0; position < positions; position++) {
                look(contactors, in, position);
            }
        }
    }

    private static int last(Contact contact) {
        return IntStream.range(0, Integer.SIZE).filter(contact::closedAt).max().orElse(0);
    }

    private void look(List<Part> contactors, int in, int position) {
        BitSet closed = study.closed((part, contact) -> Study.isFeed(part, contact)
                || contactors.contains(part) && contact.pole() && (in >> contactors.indexOf(part) & 1) == 1
                || part.family() == Family.DRUM_SWITCH && contact.closedAt(position));
        Solution solution = study.solution(closed);
        if (solution.shorts().isEmpty()) {
            study.parts(Family.MOTOR).forEach(motor -> fullest.merge(motor, least(motor, solution), Math::max));
            fullest.values().removeIf(share -> share < TURNS);
            List<Part> motors = study.parts(Family.MOTOR)
                    .filter(motor -> hasFullVoltage(motor, solution))
                    .toList();
            if (!motors.isEmpty()) {
                ways.add(new Way(solution, motors));
            }
        }
    }

    private boolean hasFullVoltage(Part motor, Solution solution) {
        return least(motor, solution) >= FULL;
    }

    /** The alternating voltage of the winding that gets least, as a share of what it is made for; 0 if it has no such winding. */
    private double least(Part motor, Solution solution) {
        int part = parts.indexOf(motor);
        return IntStream.range(0, motor.loads().size())
                .filter(load -> motor.loads().get(load).role() == LoadRole.WINDING
                        && motor.loads().get(load).rated().kind() == CurrentKind.AC)
                .mapToDouble(load ->
                        solution.loadVoltage(study.network().load(part, load)).alternating()
                                / motor.loads().get(load).rated().volts())
                .min()
                .orElse(0);
    }

    /** Of each three-phase motor the most that its weakest winding gets in any way, as a share of what it is made for; those that never get all are left out. */
    Map<Part, Double> fullestShares() {
        return fullest;
    }

    /** What flows through the poles of a release in each way in which anything does. */
    List<Carried> through(Part release) {
        List<Carried> carried = new ArrayList<>();
        for (Way way : ways) {
            List<Part> motors = way.motors().stream()
                    .filter(motor -> amperes(release, way.solution(), List.of(motor)) > 0)
                    .toList();
            double amperes = amperes(release, way.solution(), motors);
            if (amperes > 0) {
                carried.add(new Carried(amperes, motors));
            }
        }
        return carried;
    }

    /** What flows of one motor through the poles of a part at rated load, in A: the most of all ways; empty if nothing does. */
    OptionalDouble of(Part part, Part motor) {
        return ways.stream()
                .filter(way -> way.motors().contains(motor))
                .mapToDouble(way -> amperes(part, way.solution(), List.of(motor)))
                .filter(amperes -> amperes > 0)
                .max();
    }

    private double amperes(Part release, Solution solution, List<Part> motors) {
        BitSet windings = new BitSet();
        for (Part motor : motors) {
            int part = parts.indexOf(motor);
            int first = study.network().load(part, 0);
            IntStream.range(0, windings(motor))
                    .filter(winding -> motor.machine()
                            .filter(machine -> !machine.motor().carriesWhileRunning(winding))
                            .isEmpty())
                    .forEach(winding -> windings.set(first + winding));
        }
        ContactCurrents currents = ContactCurrents.of(solution, load -> windings.get(load) ? 1 : 0);
        int part = parts.indexOf(release);
        DoubleSummaryStatistics poles = IntStream.range(0, release.contacts().size())
                .filter(contact -> release.contacts().get(contact).pole())
                .mapToDouble(contact ->
                        currents.through(study.network().contact(part, contact)).rms())
                .summaryStatistics();
        return poles.getCount() == 0 || poles.getMax() < NOTHING ? 0 : poles.getMax();
    }

    private static int windings(Part motor) {
        return (int) motor.loads().stream()
                .filter(load -> load.role() == LoadRole.WINDING)
                .count();
    }
}
