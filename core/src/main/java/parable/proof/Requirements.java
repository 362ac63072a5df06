package parable.proof;

import java.util.ArrayList;
import java.util.List;
import java.util.function.BooleanSupplier;
import java.util.stream.Stream;
import parable.network.Network;
import parable.network.Supplies;
import parable.parts.Assembly;
import parable.reach.CircuitMachine;
import parable.reach.Explorer;
import parable.timing.Refinement;
import parable.timing.Replay;

/**
 * What is asked of every circuit: nothing shorted, supplies apart, opponents never together, stops stop, no start by itself, coming to rest,
 * nothing live at a motor that does not run. All of it is raised by the power circuit and the devices, never by how the control circuit
 * behaves; so a spoilt control circuit cannot silence it.
 */
final class Requirements implements ClaimSource {

    private final List<ClaimSource> sources = new ArrayList<>();
    private final List<ClaimSource> onlySound = new ArrayList<>();

    /**
     * The requirements of a sheet.
     *
     * @param explorer what was explored
     * @param timed the same machine with every place that a time is stated for
     * @param notInTime whether the times are not to be searched any more
     */
    Requirements(
            Assembly assembly,
            Explorer explorer,
            CircuitMachine timed,
            Replay replay,
            Refinement refinement,
            BooleanSupplier notInTime) {
        CircuitMachine machine = explorer.machine();
        Deciding deciding = new Deciding(machine, explorer, replay, refinement);
        Shorts shorts = new Shorts(explorer, new Supplies(Network.of(assembly)));
        Opponents opponents = new Opponents(assembly, machine, explorer, replay);
        sources.add(() -> deciding.decide(Stream.concat(shorts.questions().stream(), opponents.questions().stream())
                .toList()));
        onlySound.add(opponents::byHand);
        sources.add(new Stops(assembly, machine, explorer, deciding));
        sources.add(new Chatter(machine, explorer, timed, replay, refinement, notInTime));
        sources.add(new Restarts(
                machine, explorer, timed, replay, refinement, assembly.sheet().duty()));
        onlySound.add(new DeadMotors(machine, explorer, deciding));
    }

    @Override
    public List<Claim> claims() {
        return Stream.concat(sources.stream(), onlySound.stream())
                .flatMap(source -> source.claims().stream())
                .toList();
    }

    /** Those that are tried against single faults: all but what a hand on an armature does and what is live at a motor that stands. */
    List<Claim> underFault() {
        return sources.stream().flatMap(source -> source.claims().stream()).toList();
    }
}
