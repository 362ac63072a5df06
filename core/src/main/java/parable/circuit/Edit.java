package parable.circuit;

import java.util.ArrayList;
import java.util.List;
import java.util.Objects;

/**
 * A change of a sheet as one thing: what the drawing desk does at a stroke, and what the library builds its starters of.
 * It makes a new sheet and leaves the old one as it was.
 */
public sealed interface Edit {

    /**
     * The sheet with this change made.
     *
     * @throws EditException if the sheet has no place for it
     */
    Sheet on(Sheet sheet) throws EditException;

    /**
     * Puts a device on the sheet, or in the place of the device that has its tag.
     *
     * @param device the device
     */
    record PutDevice(Device device) implements Edit {
        public PutDevice {
            Objects.requireNonNull(device, "device");
        }

        @Override
        public Sheet on(Sheet sheet) {
            List<Device> devices = new ArrayList<>(sheet.devices());
            int place = indexOf(sheet, device.tag());
            if (place < 0) {
                devices.add(device);
            } else {
                devices.set(place, device);
            }
            return sheet.withDevices(devices);
        }
    }

    /**
     * Takes a device off the sheet. Rungs that go through it must have gone before.
     *
     * @param tag the device
     */
    record TakeDevice(String tag) implements Edit {
        @Override
        public Sheet on(Sheet sheet) throws EditException {
            int place = indexOf(sheet, tag);
            if (place < 0) {
                throw new EditException(sheet.name(), tag, "a device of the sheet");
            }
            if (sheet.rungs().flatMap(Rung::terminals).anyMatch(terminal -> terminal.tag()
                    .equals(tag))) {
                throw new EditException(tag, "rungs that go through it", "none when it is taken away");
            }
            List<Device> devices = new ArrayList<>(sheet.devices());
            devices.remove(place);
            return sheet.withDevices(devices);
        }
    }

    /**
     * Adds an upright of the ladder.
     *
     * @param rail the rail; its name and number are new to the sheet
     */
    record AddRail(Rail rail) implements Edit {
        @Override
        public Sheet on(Sheet sheet) throws EditException {
            for (Rail other : sheet.rails()) {
                if (other.name().equals(rail.name()) || other.number().equals(rail.number())) {
                    throw new EditException(
                            sheet.name(),
                            rail.name() + " " + rail.number(),
                            "a rail with a name and number of its own");
                }
            }
            List<Rail> rails = new ArrayList<>(sheet.rails());
            rails.add(rail);
            return sheet.withRails(rails);
        }
    }

    /**
     * Puts a rung between others.
     *
     * @param circuit which circuit it belongs to
     * @param at its place afterwards, from 0 to the number of rungs there
     * @param rung the rung
     */
    record InsertRung(Circuit circuit, int at, Rung rung) implements Edit {
        @Override
        public Sheet on(Sheet sheet) throws EditException {
            List<Rung> rungs = new ArrayList<>(sheet.rungs(circuit));
            rungs.add(checked(sheet, circuit, at, rungs.size()), rung);
            return sheet.withRungs(circuit, rungs);
        }
    }

    /**
     * Puts a rung in the place of another.
     *
     * @param circuit which circuit it belongs to
     * @param at its place, from 0
     * @param rung the rung
     */
    record ReplaceRung(Circuit circuit, int at, Rung rung) implements Edit {
        @Override
        public Sheet on(Sheet sheet) throws EditException {
            List<Rung> rungs = new ArrayList<>(sheet.rungs(circuit));
            rungs.set(checked(sheet, circuit, at, rungs.size() - 1), rung);
            return sheet.withRungs(circuit, rungs);
        }
    }

    /**
     * Takes a rung away.
     *
     * @param circuit which circuit it belongs to
     * @param at its place, from 0
     */
    record TakeRung(Circuit circuit, int at) implements Edit {
        @Override
        public Sheet on(Sheet sheet) throws EditException {
            List<Rung> rungs = new ArrayList<>(sheet.rungs(circuit));
            rungs.remove(checked(sheet, circuit, at, rungs.size() - 1));
            return sheet.withRungs(circuit, rungs);
        }
    }

    private static int indexOf(Sheet sheet, String tag) {
        for (int i = 0; i < sheet.devices().size(); i++) {
            if (sheet.devices().get(i).tag().equals(tag)) {
                return i;
            }
        }
        return -1;
    }

    private static int checked(Sheet sheet, Circuit circuit, int at, int last) throws EditException {
        if (at < 0 || at > last) {
            throw new EditException(
                    sheet.name() + ", " + circuit.words(), "rung " + (at + 1), "a rung from 1 to " + (last + 1));
        }
        return at;
    }
}
