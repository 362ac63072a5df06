package parable.stroke;

import java.util.ArrayDeque;
import java.util.Deque;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import parable.circuit.ColourUse;
import parable.circuit.EditException;
import parable.circuit.Place;
import parable.circuit.Places;
import parable.circuit.Rung;
import parable.circuit.RungItem;
import parable.circuit.Sheet;
import parable.parts.Family;

/** An emergency stop before everything that pulls in, a contact of it in each rung that leads from a rail to such a coil. */
final class EmergencyStopFirst {

    private final StrokeSheet desk;

    EmergencyStopFirst(StrokeSheet desk) {
        this.desk = desk;
    }

    Sheet drawn() throws EditException {
        boolean there = desk.contactsBefore(desk.coil()).stream()
                .anyMatch(passage -> desk.family(passage) == Family.EMERGENCY_STOP);
        if (there) {
            throw desk.noFit("an E-stop before it already", "a way to its coil without one");
        }
        String stop = desk.fresh("emergency-stop", "E-stop", Places.DOOR, Optional.of(ColourUse.EMERGENCY_STOP));
        for (int rung = 0; rung < desk.rungs().size(); rung++) {
            if (StrokeSheet.isRail(desk.rungs().get(rung).items().get(0)) && leadsToCoil(rung)) {
                desk.inSeries(first(desk, rung), false, "/" + stop);
            }
        }
        return desk.sheet();
    }

    /**
     * The first thing on a rung behind what protects it.
     *
     * @throws EditException if there is nothing else on it
     */
    static Place first(StrokeSheet desk, int rung) throws EditException {
        return desk
                .places((place, passage) -> place.rung() == rung
                        && desk.family(passage) != Family.FUSE
                        && desk.family(passage) != Family.BREAKER)
                .stream()
                .findFirst()
                .orElseThrow(() -> desk.noFit("nothing but fuses on rung " + (rung + 1), "a contact or coil on it"));
    }

    /** Whether current from the rung's rail can go on to a coil, on it or on the rungs that begin where it leads to. */
    private boolean leadsToCoil(int from) {
        Set<Integer> seen = new LinkedHashSet<>(List.of(from));
        Deque<Integer> open = new ArrayDeque<>(seen);
        while (!open.isEmpty()) {
            Rung rung = desk.rungs().get(open.pop());
            if (rung.items().stream()
                    .anyMatch(item -> item instanceof RungItem.Passage passage && desk.isCommandCoil(passage))) {
                return true;
            }
            List<RungItem.NamedPoint> points =
                    rung.points().filter(point -> !point.rail()).toList();
            for (int other = 0; other < desk.rungs().size(); other++) {
                boolean joins = desk.rungs().get(other).points().anyMatch(points::contains);
                if (joins && seen.add(other)) {
                    open.add(other);
                }
            }
        }
        return false;
    }
}
