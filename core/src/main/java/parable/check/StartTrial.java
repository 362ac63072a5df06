package parable.check;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import parable.circuit.Terminal;
import parable.network.Potential;

/**
 * One start, tried by hand.
 *
 * @param turned the positions of the selectors
 * @param besides the buttons that were held besides
 * @param start what was pressed or actuated, empty if the motors ran without
 * @param held the motors that were driven while it was held
 * @param shortly the motors that were driven two seconds after it was let go
 * @param after the motors that were driven once it was let go and all had settled
 * @param stops what became of each way to stop
 * @param afterPowerReturned the motors that were driven once the supply had failed and returned
 * @param tripped what had tripped by the time all had settled
 * @param shortedBy what was done when something was first shorted, empty if nothing was
 * @param voltages the highest voltage that each load had, by its first terminal
 * @param pulledIn the relays and contactors that were in at any time until then, in this try or an earlier one
 * @param begun the first voltage on the winding of each motor that got any, in V
 * @param settled the voltage on it once all had settled, in V
 * @param changedAt the speed, in per unit, at which that of each motor rose from what it began with to what it settled at; those where it did not rise are left out
 * @param mishaps what hurts motors while they run
 */
record StartTrial(
        Map<String, String> turned,
        List<String> besides,
        Optional<String> start,
        Set<String> held,
        Set<String> shortly,
        Set<String> after,
        List<Stop> stops,
        Set<String> afterPowerReturned,
        Set<String> tripped,
        Optional<String> shortedBy,
        Map<Terminal, Potential> voltages,
        Set<String> pulledIn,
        Map<String, Double> begun,
        Map<String, Double> settled,
        Map<String, Double> changedAt,
        Mishaps mishaps) {

    /**
     * One way to stop, tried while the motors ran.
     *
     * @param tag what was pressed, hit or tripped
     * @param stillDriven the motors that were driven all the same
     * @param afterwards the motors that it had stopped and that were driven again once it was let go or reset
     */
    record Stop(String tag, Set<String> stillDriven, Set<String> afterwards) {}
}
