package parable.starters;

/** The ladders of reversing starters. */
final class TwoDirections extends LadderPart {

    TwoDirections(Wish wish, Tags tags, SheetDraft draft, ControlPlan control, LadderDraft ladder) {
        super(wish, tags, draft, control, ladder);
    }

    void contactors() {
        for (String[] contactor : new String[][] {{tags.forward(), "Forward"}, {tags.reverse(), "Reverse"}}) {
            draft.device(
                    "contactor",
                    contactor[0],
                    contactor[1],
                    "panel",
                    "coil",
                    control.volts(),
                    "aux",
                    "13-14 21-22" + (shows(Lamp.RUNNING) ? " 33-34" : "") + (shows(Lamp.STOPPED) ? " 41-42" : ""),
                    "rated",
                    ContactorRating.of(wish, isJogged() || isPlugged()));
        }
        draft.device(
                "mechanical-interlock",
                tags.interlock(),
                "Interlock",
                "panel",
                "between",
                tags.forward() + " " + tags.reverse());
    }

    /** One rung a direction, each behind the other's contact, and with a button interlock behind the other's button. */
    void byButtons() {
        ladder.stopOnly();
        boolean direct = wish.has(Directions.BUTTON_INTERLOCK);
        boolean turns = wish.has(EndSwitches.TURN_ROUND);
        String blocks = (direct ? "13-14 21-22" : "13-14") + (turns ? " " + second(direct) : "");
        String forward = ladder.button(1, "Forward", "door", blocks, "black");
        String reverse = ladder.button(2, "Reverse", "door", blocks, "black");
        ends();
        if (isJogged()) {
            draft.device(
                    "selector", tags.mode(), "Mode", "door", "positions", "run jog", "blocks", "13-14=run 23-24=run");
        }
        SheetDraft.Line line = ladder.head();
        if (wish.has(EndSwitches.TURN_ROUND)) {
            line.through(tags.overTravel(1) + "[11-12]").through(tags.overTravel(2) + "[11-12]");
        }
        String before = line.here();
        String ahead =
                direction(line, direct ? reverse : "", new Way(forward, tags.forward(), tags.reverse(), 1, "forward"));
        String back = direction(
                draft.from(before),
                direct ? forward : "",
                new Way(reverse, tags.reverse(), tags.forward(), 2, "reverse"));
        if (wish.has(EndSwitches.TURN_ROUND)) {
            turnRound(before, forward + "[" + second(direct) + "]", reverse + "[" + second(direct) + "]", ahead, back);
        }
        lamps();
    }

    /**
     * A run relay that a start pulls in and every stop and loss of power lets go: only while it is in does an end switch start the way back. Without it the
     * travel would start when a stop is let go while the carriage is on an end switch.
     */
    private void turnRound(String before, String forward, String reverse, String ahead, String back) {
        SheetDraft.Line run = draft.from(before).through(forward);
        String started = run.here();
        ladder.end(run.through(tags.relay() + "[A1-A2]"), "run, until a stop");
        ladder.parallel(before, reverse, started, "");
        ladder.parallel(before, tags.relay() + "[11-14]", started, "");
        SheetDraft.Line turning = draft.from(before).through(tags.relay() + "[21-24]");
        String running = turning.here();
        turning.through(tags.end(2) + "[23-24]").to(ahead, "turned round at the reverse end");
        ladder.parallel(running, tags.end(1) + "[23-24]", back, "turned round at the forward end");
    }

    /** A button's second open block. */
    private static String second(boolean direct) {
        return direct ? "33-34" : "23-24";
    }

    /**
     * One of the two directions.
     *
     * @param button starts it
     * @param own its contactor
     * @param other the contactor of the other direction
     * @param end the number of the end switch that ends it
     * @param remark what the rung says
     */
    private record Way(String button, String own, String other, int end, String remark) {}

    /**
     * Draws the rung of a direction; returns the point behind the button.
     *
     * @param otherButton the button that bars it, blank if none does
     */
    private String direction(SheetDraft.Line line, String otherButton, Way way) {
        if (!otherButton.isEmpty()) {
            line.through(otherButton + "[21-22]");
        }
        String before = line.here();
        line.through(way.button() + "[13-14]");
        String after = line.here();
        if (!wish.has(EndSwitches.NONE)) {
            line.through(tags.end(way.end()) + "[11-12]");
        }
        ladder.end(line.through(way.other() + "[21-22]").through(way.own() + "[A1-A2]"), way.remark());
        if (isJogged()) {
            draft.from(before)
                    .through(tags.mode() + (way.end() == 1 ? "[13-14]" : "[23-24]"))
                    .through(way.own() + "[13-14]")
                    .to(after, "holds itself in only in run");
        } else {
            ladder.parallel(before, way.own() + "[13-14]", after, "");
        }
        return after;
    }

    /** In jog the selector opens the seal-in of both directions. */
    private boolean isJogged() {
        return wish.has(Jogging.SELECTOR);
    }

    /** Whether the other direction can come in while the motor still turns, so that it is plugged. */
    private boolean isPlugged() {
        return wish.has(Directions.BUTTON_INTERLOCK) || wish.has(EndSwitches.TURN_ROUND);
    }

    private void ends() {
        if (wish.has(EndSwitches.NONE)) {
            return;
        }
        String blocks = wish.has(EndSwitches.TURN_ROUND) ? "11-12 23-24" : "11-12";
        String place = wish.motor().place();
        draft.device("limit-switch", tags.end(1), "Forward end", place, "blocks", blocks);
        draft.device("limit-switch", tags.end(2), "Reverse end", place, "blocks", blocks);
        if (wish.has(EndSwitches.TURN_ROUND)) {
            draft.device("limit-switch", tags.overTravel(1), "Final forward", place, "blocks", "11-12");
            draft.device("limit-switch", tags.overTravel(2), "Final reverse", place, "blocks", "11-12");
            draft.device("control-relay", tags.relay(), "Run", "panel", "coil", control.volts(), "changeovers", "2");
        }
    }

    /** A selector decides which coil the start button reaches. */
    void bySelector() {
        ladder.stations("Start");
        draft.device(
                "selector",
                tags.mode(),
                "Direction",
                "door",
                "positions",
                "forward reverse",
                "blocks",
                "13-14=forward 23-24=reverse");
        SheetDraft.Line line = ladder.head();
        String before = line.here();
        line.through(ladder.starts().get(0) + "[13-14]");
        String after = line.here();
        line.through(tags.mode() + "[13-14]").through(tags.reverse() + "[21-22]");
        ladder.end(line.through(tags.forward() + "[A1-A2]"), "forward");
        ladder.parallel(before, tags.forward() + "[13-14]", after, "");
        ladder.parallel(before, tags.reverse() + "[13-14]", after, "");
        SheetDraft.Line reverse =
                draft.from(after).through(tags.mode() + "[23-24]").through(tags.forward() + "[21-22]");
        ladder.end(reverse.through(tags.reverse() + "[A1-A2]"), "reverse");
        lamps();
    }

    private boolean shows(Lamp lamp) {
        return wish.lamps().contains(lamp);
    }

    private void lamps() {
        if (shows(Lamp.RUNNING)) {
            ladder.running("Forward", ladder.line(tags.forward() + "[33-34]"), "");
            ladder.running("Reverse", ladder.line(tags.reverse() + "[33-34]"), "");
        }
        if (shows(Lamp.STOPPED)) {
            ladder.stopped(ladder.line(tags.forward() + "[41-42]").through(tags.reverse() + "[41-42]"));
        }
        wish.lamps().forEach(ladder::commonLamp);
    }
}
