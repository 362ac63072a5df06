package parable.app.step;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import parable.app.sheet.Marked;
import parable.circuit.Places;
import parable.circuit.ProbePoint;
import parable.circuit.Terminal;
import parable.parts.Assembly;
import parable.testsheet.Observation;
import parable.wiring.PanelLayout;

/** Where the probes of an observation go, on the drawing and on the panel. */
final class ProbeMarks {

    private ProbeMarks() {}

    /** On the drawing: terminals, and wires that were said by their numbers. */
    static Marked of(Observation observation) {
        if (observation instanceof Observation.Amperes clamp) {
            return new Marked(List.of(), List.of(clamp.at()));
        }
        List<ProbePoint> points =
                places(observation).stream().map(ProbePoint::read).toList();
        List<String> wires = places(observation).stream()
                .filter(place -> ProbePoint.read(place).terminal().isEmpty())
                .toList();
        return new Marked(
                wires,
                points.stream().flatMap(point -> point.terminal().stream()).toList());
    }

    private static List<String> places(Observation observation) {
        if (observation instanceof Observation.Protective conductor) {
            return List.of(conductor.red(), conductor.black());
        }
        if (observation instanceof Observation.Ohms ohms) {
            return List.of(ohms.red(), ohms.black());
        }
        if (observation instanceof Observation.Loop loop) {
            return List.of(loop.red(), loop.black());
        }
        if (observation instanceof Observation.Residual residual) {
            return List.of(residual.red(), residual.black());
        }
        return observation instanceof Observation.Volts volts ? List.of(volts.red(), volts.parked()) : List.of();
    }

    /** Where a probe can be put: on the terminals themselves, and for a wire number on one of its terminals, on the back plate if it comes there. */
    static List<Terminal> terminals(Assembly assembly, Marked probed) {
        List<Terminal> ends = new ArrayList<>(probed.ends());
        PanelLayout layout = PanelLayout.of(assembly);
        assembly.nodes().all().stream()
                .filter(node -> probed.wires().contains(node.number()))
                .flatMap(node -> node.terminals().stream()
                        .min(Comparator.comparing(
                                end -> !layout.place(end.tag()).equals(Places.BACK_PLATE)))
                        .stream())
                .forEach(ends::add);
        return ends;
    }
}
