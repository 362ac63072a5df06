package parable.stroke;

import java.util.List;
import java.util.Optional;
import parable.circuit.Device;
import parable.circuit.EditException;
import parable.circuit.Place;
import parable.circuit.Sheet;
import parable.network.OpposedContactors;
import parable.parts.Drive;

/** Keeps a contactor and its opponent from being in together. */
final class Barring {

    private final StrokeSheet desk;

    Barring(StrokeSheet desk) {
        this.desk = desk;
    }

    /** The contactor that must not be in with this one, as the power circuit says. */
    private Optional<String> opponent() {
        String tag = desk.tag();
        return OpposedContactors.of(desk.before()).stream()
                .filter(pair -> pair.one().equals(tag) || pair.other().equals(tag))
                .map(pair -> pair.one().equals(tag) ? pair.other() : pair.one())
                .findFirst();
    }

    /**
     * What draws an opponent asks first whether there is one.
     *
     * @throws EditException if there is
     */
    void requireNoOpponent() throws EditException {
        Optional<String> there = opponent();
        if (there.isPresent()) {
            throw desk.noFit(there.get() + " is its opponent already", "a contactor without one");
        }
    }

    Sheet bar() throws EditException {
        String tag = desk.tag();
        String other = opponent()
                .orElseThrow(() -> desk.noFit("no opponent", "another contactor that must not be in with it"));
        boolean whole = true;
        for (String[] pair : new String[][] {{tag, other}, {other, tag}}) {
            Place coil = desk.coil(pair[0]);
            boolean barred = desk
                    .places((place, passage) -> passage.tag().equals(pair[1])
                            && place.rung() == coil.rung()
                            && !desk.isCoil(passage, pair[1]))
                    .stream()
                    .anyMatch(place -> place.item() < coil.item());
            if (!barred) {
                whole = false;
                desk.inSeries(coil, false, "/" + pair[1]);
            }
        }
        boolean mechanical = desk.before().parts().stream()
                .anyMatch(part -> part.drive() instanceof Drive.Interlocking between
                        && List.of(between.one(), between.other()).containsAll(List.of(tag, other)));
        if (whole && mechanical) {
            throw desk.noFit("they bar each other already", "one that bars nothing yet");
        }
        if (!mechanical) {
            String interlock = desk.fresh("mechanical-interlock", "Interlock", "panel", Optional.empty());
            Device device = desk.sheet().device(interlock).orElseThrow();
            desk.put(device.with("between", tag + " " + other));
        }
        return desk.sheet();
    }
}
