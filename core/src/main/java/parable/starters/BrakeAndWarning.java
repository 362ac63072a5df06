package parable.starters;

/** The ladders of starters that brake after a stop, and of those that warn before a start. */
final class BrakeAndWarning extends LadderPart {

    private static final String FOR_STOPPED = "[41-42]";

    BrakeAndWarning(Wish wish, Tags tags, SheetDraft draft, ControlPlan control, LadderDraft ladder) {
        super(wish, tags, draft, control, ladder);
    }

    void brakeDevices() {
        String run = tags.contactor();
        boolean timed = wish.has(Braking.TIMED);
        draft.device(
                "contactor",
                run,
                "Run",
                "panel",
                "coil",
                control.volts(),
                "aux",
                aux("13-14 21-22 33-34"),
                "rated",
                ContactorRating.of(wish, false));
        draft.device(
                "contactor",
                tags.brake(),
                "Brake",
                "panel",
                "poles",
                "4",
                "coil",
                control.volts(),
                "aux",
                "13-14 21-22");
        draft.device(
                "mechanical-interlock", tags.interlock(), "Interlock", "panel", "between", run + " " + tags.brake());
        directCurrent();
        draft.device(
                "timer",
                tags.timer(),
                timed ? "Brake time" : "Longest brake time",
                "panel",
                "function",
                "off-delay",
                "setting",
                timed ? "4 s" : "10 s",
                "coil",
                control.volts());
        if (!timed) {
            draft.device(
                    "zero-speed-switch",
                    tags.zeroSpeed(),
                    "Turning",
                    wish.motor().place(),
                    "motor",
                    tags.motor(),
                    "blocks",
                    "13-14");
        }
    }

    /** What makes the direct current of the brake. */
    private void directCurrent() {
        draft.device(
                "rectifier",
                tags.rectifier(),
                "Brake rectifier",
                "panel",
                "input",
                wish.motor().voltage());
        draft.device(
                "resistor",
                tags.resistor(),
                "Brake resistor",
                "panel",
                "resistance",
                wish.motor().brake().resistance(),
                "power",
                wish.motor().brake().power());
        for (int line = 1; line <= 2; line++) {
            draft.device(
                    "fuse",
                    tags.brakeFuse(line),
                    "Brake fuse",
                    "panel",
                    "rated",
                    wish.motor().brake().fuse());
        }
    }

    /**
     * Stop drops the run contactor, whose rest contact lets the brake in for the set time, or until standstill and for the set time at most: a speed
     * switch that sticks would leave the direct current on. The timer is fed through a contact of the run contactor: beside its coil it would close
     * its contact before that one's rest contact has opened, and the brake could come in at a start.
     */
    void brake() {
        ladder.stations("Start");
        String run = tags.contactor();
        boolean timed = wish.has(Braking.TIMED);
        SheetDraft.Line line = ladder.head();
        String before = line.here();
        line.through(ladder.starts().get(0) + "[13-14]");
        String after = line.here();
        line.through(tags.brake() + "[21-22]");
        String coil = line.here();
        ladder.end(line.through(run + "[A1-A2]"), "run");
        ladder.parallel(before, run + "[13-14]", after, "");
        ladder.end(
                ladder.line(run + "[33-34]").through(tags.timer() + "[A1-A2]"),
                timed ? "the brake time begins when this lets go" : "the longest brake time begins when this lets go");
        SheetDraft.Line brake = ladder.line(run + "[21-22]").through(tags.timer() + "[15-18]");
        if (!timed) {
            brake.through(tags.zeroSpeed() + "[13-14]");
        }
        String brakeCoil = brake.here();
        brake.through(tags.brake() + "[A1-A2]")
                .to(control.back(), timed ? "brake for the set time" : "brake until standstill");
        if (wish.lamps().contains(Lamp.RUNNING)) {
            ladder.running("Running", draft.from(coil), "");
        }
        ladder.lamp("Braking", "yellow", draft.from(brakeCoil), "");
        otherLamps();
    }

    /** The lamps but for that which hangs beside the contactor's coil. */
    private void otherLamps() {
        if (wish.lamps().contains(Lamp.STOPPED)) {
            ladder.stopped(ladder.line(tags.contactor() + FOR_STOPPED));
        }
        wish.lamps().forEach(ladder::commonLamp);
    }

    /** The auxiliary contacts of the motor contactor, with one more for a lamp that shows that it is out. */
    private String aux(String contacts) {
        return contacts + (wish.lamps().contains(Lamp.STOPPED) ? " 41-42" : "");
    }

    private void lamps(String coil) {
        if (wish.lamps().contains(Lamp.RUNNING)) {
            ladder.running("Running", draft.from(coil), "running");
        }
        otherLamps();
    }

    void warningDevices() {
        draft.device(
                "contactor",
                tags.contactor(),
                "Motor contactor",
                "panel",
                "coil",
                control.volts(),
                "aux",
                aux("13-14 21-22"),
                "rated",
                ContactorRating.of(wish, false));
        commandDevices(tags.timer());
    }

    /** What warns before a start: its timer, its relay, the horn and its supply. */
    void commandDevices(String timer) {
        boolean fromPowerUp = wish.has(Warning.FROM_POWER_UP);
        draft.device(
                "timer",
                timer,
                "Warning time",
                "panel",
                "function",
                "on-delay",
                "setting",
                "3 s",
                "coil",
                control.volts(),
                "base",
                fromPowerUp ? "8-pin" : "");
        draft.device(
                "control-relay",
                tags.relay(),
                fromPowerUp ? "Warned" : "Start commanded",
                "panel",
                "coil",
                control.volts(),
                "changeovers",
                "2");
        control.hornDevices();
        draft.device("horn", tags.horn(), "Warning horn", wish.motor().place(), "rated", "24 V DC");
    }

    /** The warning runs as soon as there is voltage; start is refused until it is over. */
    void warningFromPowerUp() {
        ladder.stations("Start");
        SheetDraft.Line line = ladder.protectedLine();
        String live = line.here();
        ladder.end(line.through(tags.timer() + "[2-7]"), "warning from power-up; a later start is not warned of");
        ladder.end(draft.from(live).through(tags.timer() + "[8-6]").through(tags.relay() + "[A1-A2]"));
        SheetDraft.Line run = draft.from(live).through(tags.relay() + "[11-14]");
        if (wish.has(EmergencyStop.ONE)) {
            run.through(tags.emergencyStop() + "[11-12]");
        }
        run.through(ladder.stops().get(0) + "[11-12]");
        String before = run.here();
        run.through(ladder.starts().get(0) + "[13-14]");
        String after = run.here();
        String coil = run.here();
        ladder.end(run.through(tags.contactor() + "[A1-A2]"));
        ladder.parallel(before, tags.contactor() + "[13-14]", after, "");
        lamps(coil);
        control.hornSupply();
        draft.from(control.hornRails()[0])
                .through(tags.relay() + "[21-22]")
                .through(tags.horn() + "[X1-X2]")
                .to(control.hornRails()[1], "horn");
    }

    /** Start is held by a relay, the horn sounds, the motor follows; stop at any moment cancels. */
    void warningFromStart() {
        SheetDraft.Line motor = warned(tags.timer());
        String coil = motor.here();
        ladder.end(motor.through(tags.contactor() + "[A1-A2]"), "the motor follows");
        lamps(coil);
        horn(tags.contactor() + "[21-22]");
    }

    /** The start command that a relay holds; returns the line behind the warning time. */
    SheetDraft.Line warned(String timer) {
        ladder.stations("Start");
        SheetDraft.Line line = ladder.head();
        String before = line.here();
        line.through(ladder.starts().get(0) + "[13-14]");
        String after = line.here();
        ladder.end(line.through(tags.relay() + "[A1-A2]"), "the start command is held");
        ladder.parallel(before, tags.relay() + "[11-14]", after, "");
        ladder.end(draft.from(after).through(timer + "[A1-A2]"), "the warning time");
        return draft.from(after).through(timer + "[15-18]");
    }

    /** The horn, from the start command until the motor's contactor is in. */
    void horn(String untilThatOpens) {
        control.hornSupply();
        draft.from(control.hornRails()[0])
                .through(tags.relay() + "[21-24]")
                .through(untilThatOpens)
                .through(tags.horn() + "[X1-X2]")
                .to(control.hornRails()[1], "sounds until the motor runs");
    }
}
