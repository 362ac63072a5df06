package parable.starters;

import parable.circuit.ColourUse;

/** The ladders of starters with one contactor: held by itself, by a switch, jogged. */
final class OneDirection extends LadderPart {

    OneDirection(Wish wish, Tags tags, SheetDraft draft, ControlPlan control, LadderDraft ladder) {
        super(wish, tags, draft, control, ladder);
    }

    private String coil() {
        return tags.contactor() + "[A1-A2]";
    }

    private String sealIn() {
        return tags.contactor() + "[13-14]";
    }

    /** Puts the contactor on the sheet, with a relay in front of it where two supplies are not to meet. */
    void contactors() {
        boolean relay = wish.has(ControlSupply.DC_24_WITH_RELAY);
        draft.device(
                "contactor",
                tags.contactor(),
                "Motor contactor",
                "panel",
                "coil",
                relay ? wish.motor().voltageToNeutral() : control.volts(),
                "aux",
                "13-14 21-22",
                "rated",
                ContactorRating.of(wish, isJogged()));
        if (relay || wish.has(Jogging.RELAY)) {
            String label = relay ? "Between the supplies" : "Run relay";
            draft.device("control-relay", tags.relay(), label, "panel", "coil", control.volts(), "changeovers", "2");
        }
    }

    private boolean isJogged() {
        return wish.has(Jogging.SELECTOR) || wish.has(Jogging.RELAY) || wish.has(Jogging.TWO_BLOCK_BUTTON);
    }

    /** Start, stop and seal-in; the relay's other contact feeds the contactor where there is one. */
    void startStop() {
        ladder.stations("Start");
        boolean relay = wish.has(ControlSupply.DC_24_WITH_RELAY);
        SheetDraft.Line line = ladder.head();
        String before = line.here();
        line.through(ladder.starts().get(0) + "[13-14]");
        String after = line.here();
        ladder.end(
                line.through(relay ? tags.relay() + "[A1-A2]" : coil()),
                "start and stop from " + String.join(" and ", wish.stations()));
        for (String start : ladder.starts().subList(1, ladder.starts().size())) {
            ladder.parallel(before, start + "[13-14]", after, "");
        }
        ladder.parallel(before, relay ? tags.relay() + "[11-14]" : sealIn(), after, "holds itself in");
        ladder.lamps(after, tags.contactor());
        if (relay) {
            draft.from("L")
                    .through(tags.relay() + "[21-24]")
                    .through(coil())
                    .to("N", "the contactor on its own supply");
        }
    }

    /** A switch that stays where it is put; in automatic a switch of the process decides. */
    void maintained() {
        boolean threeWay = wish.has(Starting.HAND_OFF_AUTO);
        draft.device(
                "selector",
                tags.mode(),
                wish.motor().label(),
                "door",
                "positions",
                threeWay ? "hand off auto" : "off on",
                "rest",
                threeWay ? "off" : "",
                "blocks",
                threeWay ? "13-14=hand 23-24=auto" : "13-14=on");
        SheetDraft.Line line = ladder.protectedLine();
        String before = line.here();
        line.through(tags.mode() + "[13-14]");
        String after = line.here();
        ladder.end(line.through(coil()), threeWay ? "hand" : "runs while the switch is on");
        if (threeWay) {
            draft.device("float-switch", tags.process(), "Level", wish.motor().place(), "blocks", "13-14");
            draft.from(before)
                    .through(tags.mode() + "[23-24]")
                    .through(tags.process() + "[13-14]")
                    .to(after, "automatic");
        }
        ladder.lamps(after, tags.contactor());
    }

    /** In jog the selector opens the seal-in. */
    void jogBySelector() {
        ladder.stations("Run or jog", ColourUse.OTHER);
        draft.device("selector", tags.mode(), "Mode", "door", "positions", "run jog", "blocks", "13-14=run");
        SheetDraft.Line line = ladder.head();
        String before = line.here();
        line.through(ladder.starts().get(0) + "[13-14]");
        String after = line.here();
        ladder.end(line.through(coil()), "run, or jog while held");
        draft.from(before).through(tags.mode() + "[13-14]").through(sealIn()).to(after, "holds itself in only in run");
        ladder.lamps(after, tags.contactor());
    }

    /** A relay holds the contactor; the jog button does not pull it in. */
    void jogByRelay() {
        ladder.stations("Start");
        String jog = ladder.button(3, "Jog", "door", "13-14", "black");
        SheetDraft.Line line = ladder.head();
        String before = line.here();
        line.through(ladder.starts().get(0) + "[13-14]");
        String after = line.here();
        ladder.end(line.through(tags.relay() + "[A1-A2]"), "run");
        draft.from(before)
                .through(sealIn())
                .through(tags.relay() + "[11-14]")
                .to(after, "loss of " + tags.contactor() + " drops " + tags.relay() + " too");
        SheetDraft.Line main = draft.from(before).through(tags.relay() + "[21-24]");
        String coilPoint = main.here();
        ladder.end(main.through(coil()));
        ladder.parallel(before, jog + "[13-14]", coilPoint, "jog");
        ladder.lamps(coilPoint, tags.contactor());
    }

    /** The jog button's normally closed block opens the seal-in, its normally open block starts: a race when let go. */
    void jogByTwoBlocks() {
        ladder.stations("Start");
        String jog = ladder.button(3, "Jog", "door", "11-12 23-24", "black");
        SheetDraft.Line line = ladder.head();
        String before = line.here();
        line.through(ladder.starts().get(0) + "[13-14]");
        String after = line.here();
        ladder.end(line.through(coil()));
        draft.from(before)
                .through(jog + "[11-12]")
                .through(sealIn())
                .to(after, "the block is back before the seal-in has opened");
        ladder.parallel(before, jog + "[23-24]", after, "");
        ladder.lamps(after, tags.contactor());
    }
}
