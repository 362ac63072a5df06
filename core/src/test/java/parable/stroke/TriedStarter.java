package parable.stroke;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import parable.Examples;
import parable.bench.Action;
import parable.bench.ActionRefusedException;
import parable.bench.Bench;
import parable.bench.Condition;
import parable.circuit.Device;
import parable.circuit.Sheet;
import parable.parts.Family;
import parable.parts.Part;
import parable.parts.Verb;

/** A sheet on the bench, switched on, with buttons that are tapped. */
final class TriedStarter {

    private static final long A_MOMENT = 300_000;

    private final Bench bench;

    TriedStarter(Sheet sheet) throws ActionRefusedException {
        bench = Bench.of(Examples.fitted(sheet));
        for (Part part : bench.assembly().parts()) {
            if (part.family() == Family.BREAKER || part.family() == Family.ISOLATOR) {
                act(Verb.CLOSE, part.tag());
            }
        }
        passes(500_000);
    }

    void act(Verb verb, String tag) throws ActionRefusedException {
        bench.act(new Action(verb, tag));
        passes(A_MOMENT);
    }

    void tap(String tag) throws ActionRefusedException {
        act(Verb.PRESS, tag);
        act(Verb.RELEASE, tag);
    }

    /** Lets time go on, in microseconds. */
    void passes(long time) {
        bench.runUntil(bench.now() + time);
    }

    Condition condition(String tag) {
        return bench.moment().condition(tag);
    }

    boolean isIn(String tag) {
        return condition(tag) == Condition.IN;
    }

    /** Whether a coil or lamp has its voltage, or a horn sounds. */
    List<String> in() {
        return bench.assembly().parts().stream()
                .filter(part -> part.family() == Family.CONTACTOR || part.family() == Family.CONTROL_RELAY)
                .map(Part::tag)
                .filter(this::isIn)
                .toList();
    }

    /** The buttons of which a tap brings a contactor or relay in so that it stays in. */
    static List<String> starts(Sheet sheet, String tag) throws ActionRefusedException {
        List<String> starts = new ArrayList<>();
        for (Device device : sheet.devices()) {
            if (device.kind().equals("push-button")) {
                TriedStarter tried = new TriedStarter(sheet);
                boolean before = tried.isIn(tag);
                tried.tap(device.tag());
                if (!before && tried.isIn(tag)) {
                    starts.add(device.tag());
                }
            }
        }
        return starts;
    }

    /** The devices that one sheet has and another has not. */
    static List<Device> added(Sheet before, Sheet after) {
        return after.devices().stream()
                .filter(device -> before.device(device.tag()).isEmpty())
                .toList();
    }

    /** The tag of the one device of a kind that was added. */
    static String added(Sheet before, Sheet after, String kind) {
        Optional<Device> found = added(before, after).stream()
                .filter(device -> device.kind().equals(kind))
                .findFirst();
        return found.orElseThrow().tag();
    }
}
