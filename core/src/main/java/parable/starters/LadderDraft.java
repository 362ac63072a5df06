package parable.starters;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import parable.circuit.ColourCode;
import parable.circuit.ColourUse;

/** What every ladder of the library has in common: the stops in front, the returns, the stations, the lamps. */
final class LadderDraft {

    private final Wish wish;
    private final Tags tags;
    private final SheetDraft draft;
    private final ControlPlan control;
    private final List<String> stops = new ArrayList<>();
    private final List<String> starts = new ArrayList<>();
    private Optional<String> sharedReturn = Optional.empty();
    private int lamps;

    LadderDraft(Wish wish, Tags tags, SheetDraft draft, ControlPlan control) {
        this.wish = wish;
        this.tags = tags;
        this.draft = draft;
        this.control = control;
    }

    /** The E-stop, and a stop and a start button for each station. */
    void stations(String startLabel) {
        stations(startLabel, ColourUse.START);
    }

    /**
     * The same with starts that are for something else besides.
     *
     * @param use what the colour of a start says: one that is held while it jogs is not green (IEC 60204-1, 10.2.1)
     */
    void stations(String startLabel, ColourUse use) {
        emergencyStop();
        for (int i = 0; i < wish.stations().size(); i++) {
            int first = i < 2 ? 2 * i : 2 * i + 6;
            stops.add(button(first, "Stop", wish.stations().get(i), "11-12", usual(ColourUse.STOP)));
            starts.add(button(first + 1, startLabel, wish.stations().get(i), "13-14", usual(use)));
        }
    }

    private void emergencyStop() {
        if (wish.has(EmergencyStop.ONE)) {
            String blocks = wish.lamps().contains(Lamp.EMERGENCY_STOP) ? "11-12 23-24" : "11-12";
            draft.device("emergency-stop", tags.emergencyStop(), "E-stop", "door", "blocks", blocks);
        }
    }

    private String usual(ColourUse use) {
        return Stream.of(wish.conventions().colours(), ColourCode.of(wish.practice()))
                .flatMap(code -> code.colours(use).stream())
                .findFirst()
                .orElseThrow();
    }

    /** Only a stop button, for starters whose start is something else. */
    void stopOnly() {
        emergencyStop();
        stops.add(button(0, "Stop", wish.stations().get(0), "11-12", usual(ColourUse.STOP)));
    }

    /** Puts a push button on the sheet and returns its tag. */
    String button(int iecNumber, String label, String place, String blocks, String colour) {
        String tag = tags.pushButton(iecNumber);
        draft.device("push-button", tag, label, place, "blocks", blocks, "colour", colour);
        return tag;
    }

    List<String> stops() {
        return stops;
    }

    List<String> starts() {
        return starts;
    }

    /** From the line rail through the overload's contact, if it is first there, and the E-stop. */
    SheetDraft.Line protectedLine() {
        SheetDraft.Line line = draft.from(control.line());
        if (wish.has(OverloadContact.FIRST)) {
            line.through(overloadContact());
        }
        return line;
    }

    /** From the line rail through everything that stops. */
    SheetDraft.Line head() {
        SheetDraft.Line line = protectedLine();
        if (wish.has(EmergencyStop.ONE)) {
            line.through(tags.emergencyStop() + "[11-12]");
        }
        stops.forEach(stop -> line.through(stop + "[11-12]"));
        return line;
    }

    private String overloadContact() {
        return wish.has(ProtectiveDevice.OVERLOAD_RELAY) ? tags.overload() + "[95-96]" : tags.breaker() + "[13-14]";
    }

    /** Ends a rung behind a coil: on the return rail, or through the overload's contact that all coils share. */
    void end(SheetDraft.Line line, String remark) {
        if (wish.has(OverloadContact.FIRST)) {
            line.to(control.back(), remark);
        } else if (sharedReturn.isPresent()) {
            line.to(sharedReturn.get(), remark);
        } else {
            sharedReturn = Optional.of(line.here());
            line.through(overloadContact()).to(control.back(), remark);
        }
    }

    void end(SheetDraft.Line line) {
        end(line, "");
    }

    /** A start in parallel with another. */
    void parallel(String from, String passage, String to, String remark) {
        draft.from(from).through(passage).to(to, remark);
    }

    /** A lamp between a point or contact and the return. */
    void lamp(String label, String colour, SheetDraft.Line line, String remark) {
        lamps++;
        String tag = tags.lamp(lamps);
        draft.device("pilot-lamp", tag, label, "door", "lamp", control.volts(), "colour", colour);
        line.through(tag + "[X1-X2]").to(control.back(), remark);
    }

    /**
     * The lamps that were wished for.
     *
     * @param coil the point in front of the contactor's coil
     * @param contactor the contactor that stands for the starter
     */
    void lamps(String coil, String contactor) {
        for (Lamp lamp : wish.lamps()) {
            switch (lamp) {
                case RUNNING -> running("Running", draft.from(coil), "running");
                case STOPPED -> stopped(line(contactor + "[21-22]"));
                case TRIPPED, EMERGENCY_STOP, CONTROL_ON -> commonLamp(lamp);
            }
        }
    }

    /** A lamp that shows that the motor runs. */
    void running(String label, SheetDraft.Line line, String remark) {
        lamp(label, usual(ColourUse.RUNNING), line, remark);
    }

    /** The lamp that shows that the motor is off, behind the contacts that are closed then. */
    void stopped(SheetDraft.Line line) {
        lamp("Stopped", usual(ColourUse.STOPPED), line, "stopped");
    }

    /** A lamp that has nothing to do with which contactor is in; nothing for one that has. */
    void commonLamp(Lamp lamp) {
        switch (lamp) {
            case TRIPPED -> lamp("Tripped", usual(ColourUse.TRIPPED), line(trippedContact()), "tripped");
            case EMERGENCY_STOP -> lamp("E-stop", "red", line(tags.emergencyStop() + "[23-24]"), "E-stop active");
            case CONTROL_ON -> lamp("Control on", "white", draft.from(control.line()), "control on");
            case RUNNING, STOPPED -> {}
        }
    }

    private String trippedContact() {
        return wish.has(ProtectiveDevice.OVERLOAD_RELAY) ? tags.overload() + "[97-98]" : tags.breaker() + "[97-98]";
    }

    /** From the line rail through one contact. */
    SheetDraft.Line line(String passage) {
        return draft.from(control.line()).through(passage);
    }
}
