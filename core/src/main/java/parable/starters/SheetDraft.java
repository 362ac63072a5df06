package parable.starters;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import parable.circuit.Circuit;
import parable.circuit.Device;
import parable.circuit.Duty;
import parable.circuit.Edit;
import parable.circuit.EditException;
import parable.circuit.Extras;
import parable.circuit.Rail;
import parable.circuit.Rung;
import parable.circuit.RungNotation;
import parable.circuit.RungSyntaxException;
import parable.circuit.Sheet;
import parable.circuit.WiringMethod;

/** A sheet that is being drawn, edit by edit. Wire numbers are given out from 3 on in the order they are asked for. */
final class SheetDraft {

    private Sheet sheet;
    private int lastNumber = 2;

    SheetDraft(Sheet sheet) {
        this.sheet = sheet;
    }

    /** An empty sheet. */
    static SheetDraft named(String name, Duty duty) {
        return new SheetDraft(new Sheet(name, duty, List.of(), List.of(), List.of(), List.of(), Extras.NONE));
    }

    /** What has been drawn so far, with a terminal for every wire that leaves the panel. */
    Sheet sheet() {
        return sheet.withFieldwork(sheet.fieldwork().by(WiringMethod.TERMINAL_STRIP));
    }

    /** Notes on every device what it is called in the other practice. */
    SheetDraft alsoKnownBy(Tags tags) {
        sheet = sheet.withDevices(sheet.devices().stream()
                .map(device -> device.alsoKnownAs(tags.inOtherPractice(device.tag())))
                .toList());
        return this;
    }

    /** Makes a change that is known to fit. */
    SheetDraft make(Edit edit) {
        try {
            sheet = edit.on(sheet);
            return this;
        } catch (EditException unfit) {
            throw new IllegalStateException("the library draws what does not fit: " + unfit.getMessage(), unfit);
        }
    }

    void rail(String name, String number) {
        make(new Edit.AddRail(new Rail(name, number)));
    }

    /**
     * Puts a device on the sheet.
     *
     * @param settings names and values in turn; a setting whose value is empty is left at its default
     */
    void device(String kind, String tag, String label, String place, String... settings) {
        Map<String, String> set = new LinkedHashMap<>();
        for (int i = 0; i < settings.length; i += 2) {
            if (!settings[i + 1].isEmpty()) {
                set.put(settings[i], settings[i + 1]);
            }
        }
        make(new Edit.PutDevice(new Device(tag, "", kind, label, place, set, Extras.NONE)));
    }

    void power(String rung) {
        add(Circuit.POWER, rung);
    }

    /** Draws a column in front of another, by its position. */
    void power(int position, String rung) {
        make(new Edit.InsertRung(Circuit.POWER, position, read(rung)));
    }

    void rung(String rung) {
        add(Circuit.CONTROL, rung);
    }

    private void add(Circuit circuit, String rung) {
        make(new Edit.InsertRung(circuit, sheet.rungs(circuit).size(), read(rung)));
    }

    private Rung read(String rung) {
        try {
            return new RungNotation(sheet.rails().stream().map(Rail::name).collect(Collectors.toSet())).read(rung);
        } catch (RungSyntaxException unreadable) {
            throw new IllegalStateException("the library writes what is no rung: " + rung, unreadable);
        }
    }

    /** Puts another rung in the place of the one that begins with these words. */
    SheetDraft replace(Circuit circuit, String beginning, String rung) {
        return make(new Edit.ReplaceRung(circuit, indexOf(circuit, beginning), read(rung)));
    }

    /** Takes the rung away that begins with these words. */
    SheetDraft take(Circuit circuit, String beginning) {
        return make(new Edit.TakeRung(circuit, indexOf(circuit, beginning)));
    }

    private int indexOf(Circuit circuit, String beginning) {
        for (int i = 0; i < sheet.rungs(circuit).size(); i++) {
            if (sheet.rungs(circuit).get(i).text().startsWith(beginning)) {
                return i;
            }
        }
        throw new IllegalStateException(sheet.name() + " has no rung that begins with " + beginning);
    }

    /** The next free wire number as a point, {@code @7}. */
    String point() {
        do {
            lastNumber++;
        } while (isTaken(Integer.toString(lastNumber)));
        return "@" + lastNumber;
    }

    /** Whether a rail or a point that was drawn before has this number; the control supply names some of its own. */
    private boolean isTaken(String number) {
        return sheet.rails().stream().anyMatch(rail -> rail.number().equals(number))
                || sheet.rungs().flatMap(Rung::points).anyMatch(point -> point.name()
                        .equals(number));
    }

    /** Begins a rung of the ladder at a rail or point. */
    Line from(String begin) {
        return new Line(begin);
    }

    /** A rung of the ladder that is being drawn, from the line side to the return side. */
    final class Line {

        private final StringBuilder text;
        private String here;

        private Line(String begin) {
            text = new StringBuilder(begin);
            here = begin;
        }

        /** Goes through a device; a point is named between two of them. */
        Line through(String passage) {
            here();
            text.append(' ').append(passage);
            here = "";
            return this;
        }

        /** The point or rail where the line is. */
        String here() {
            if (here.isEmpty()) {
                here = point();
                text.append(' ').append(here);
            }
            return here;
        }

        /** Ends the rung on a rail or point. */
        void to(String end, String remark) {
            rung(text + " " + end + (remark.isEmpty() ? "" : " ; " + remark));
        }

        void to(String end) {
            to(end, "");
        }
    }
}
