package parable.starters;

import parable.parts.Driven;

/** The ladders of star-delta starters. */
final class StarDelta extends LadderPart {

    private String sealed = "";

    StarDelta(Wish wish, Tags tags, SheetDraft draft, ControlPlan control, LadderDraft ladder) {
        super(wish, tags, draft, control, ladder);
    }

    void contactors() {
        boolean byStar = wish.has(Running.STAR_DELTA_BY_STAR);
        String forLamp = wish.lamps().contains(Lamp.STOPPED) ? " 21-22" : "";
        String forHorn = isWarned() ? " 31-32" : "";
        contactor(tags.main(), "Main", (byStar ? "13-14 43-44" : "13-14") + forLamp + forHorn);
        contactor(tags.star(), "Star", byStar ? "13-14 21-22" : "21-22");
        contactor(tags.delta(), "Delta", "21-22");
        draft.device(
                "mechanical-interlock",
                tags.interlock(),
                "Interlock",
                "panel",
                "between",
                tags.star() + " " + tags.delta());
        boolean deadTime = wish.has(Running.STAR_DELTA_DEAD_TIME);
        draft.device(
                "timer",
                tags.timer(),
                "Star time",
                "panel",
                "function",
                deadTime ? "star-delta" : "on-delay",
                "setting",
                starTime(),
                "dead-time",
                deadTime ? "0.05 s" : "",
                "coil",
                control.volts());
        if (isWarned()) {
            warning().commandDevices(tags.warningTimer());
        }
    }

    private boolean isWarned() {
        return !wish.has(Warning.NONE);
    }

    private BrakeAndWarning warning() {
        return new BrakeAndWarning(wish, tags, draft, control, ladder);
    }

    /** The line behind what starts: behind the start button that main holds, or behind the warning time of a start that a relay holds. */
    private SheetDraft.Line started() {
        if (isWarned()) {
            return warning().warned(tags.warningTimer());
        }
        ladder.stations("Start");
        SheetDraft.Line line = ladder.head();
        sealed = line.here();
        return line.through(ladder.starts().get(0) + "[13-14]");
    }

    private void sealIn(String after) {
        if (!isWarned()) {
            ladder.parallel(sealed, tags.main() + "[13-14]", after, "");
        }
    }

    private void horn() {
        if (isWarned()) {
            warning().horn(tags.main() + "[31-32]");
        }
    }

    /** Long enough for what is driven: a mill or a fan takes longer than a pump. */
    private String starTime() {
        return Driven.comesUpSlowly(wish.motor().drives()) ? "8 s" : "4 s";
    }

    private void contactor(String tag, String label, String aux) {
        draft.device(
                "contactor",
                tag,
                label,
                "panel",
                "coil",
                control.volts(),
                "aux",
                aux,
                "rated",
                ContactorRating.ofStarDelta(wish, tag.equals(tags.star())));
    }

    /** Star pulls in main, and main holds itself beside star when star drops. */
    void mainByStar() {
        SheetDraft.Line line = started();
        String after = line.here();
        ladder.end(line.through(tags.timer() + "[A1-A2]"), "start, and the star time begins");
        sealIn(after);
        star(after, "[15-16]");
        SheetDraft.Line main = draft.from(after).through(tags.star() + "[13-14]");
        String mainPoint = main.here();
        ladder.end(main.through(tags.main() + "[A1-A2]"), "main, pulled in by star");
        ladder.parallel(after, tags.main() + "[43-44]", mainPoint, "");
        delta(after, "[15-18]");
        ladder.lamps(mainPoint, tags.main());
        horn();
    }

    /** Start pulls in main; the timer decides between star and delta. */
    void mainDirect() {
        boolean deadTime = wish.has(Running.STAR_DELTA_DEAD_TIME);
        SheetDraft.Line line = started();
        String after = line.here();
        ladder.end(line.through(tags.main() + "[A1-A2]"), "main, straight from start");
        sealIn(after);
        ladder.end(draft.from(after).through(tags.timer() + "[A1-A2]"));
        star(after, deadTime ? "[17-18]" : "[15-16]");
        delta(after, deadTime ? "[17-28]" : "[15-18]");
        ladder.lamps(after, tags.main());
        horn();
    }

    private void star(String from, String timerContact) {
        SheetDraft.Line line =
                draft.from(from).through(tags.timer() + timerContact).through(tags.delta() + "[21-22]");
        ladder.end(line.through(tags.star() + "[A1-A2]"), "star");
    }

    /** Where a relay holds the start in the place of main, delta must not come in without main. */
    private void delta(String from, String timerContact) {
        SheetDraft.Line line =
                draft.from(from).through(tags.timer() + timerContact).through(tags.star() + "[21-22]");
        if (isWarned() && wish.has(Running.STAR_DELTA_BY_STAR)) {
            line.through(tags.main() + "[13-14]");
        }
        ladder.end(line.through(tags.delta() + "[A1-A2]"), "delta");
    }
}
