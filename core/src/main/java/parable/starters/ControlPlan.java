package parable.starters;

import parable.circuit.Practice;
import parable.circuit.Rung;

/** Draws where the voltage of the ladder comes from, and knows its rails. */
final class ControlPlan {

    private static final String DIRECT = "24 V DC";
    private static final String EXCEPTED = Rung.EXCEPTED + ": live while the breaker is open";

    private final Wish wish;
    private final Tags tags;
    private final SheetDraft draft;

    ControlPlan(Wish wish, Tags tags, SheetDraft draft) {
        this.wish = wish;
        this.tags = tags;
        this.draft = draft;
    }

    private boolean northAmerican() {
        return wish.practice() == Practice.NORTH_AMERICAN;
    }

    private boolean direct() {
        return wish.has(ControlSupply.DC_24) || wish.has(ControlSupply.DC_24_WITH_RELAY);
    }

    /** The rail on the line side. */
    String line() {
        return switch (wish.choice(ControlSupply.class)) {
            case LINE_TO_NEUTRAL -> "L";
            case TRANSFORMER -> northAmerican() ? "X1" : "L";
            case DC_24, DC_24_WITH_RELAY -> "P";
        };
    }

    /** The rail on the return side. */
    String back() {
        return switch (wish.choice(ControlSupply.class)) {
            case LINE_TO_NEUTRAL -> "N";
            case TRANSFORMER -> northAmerican() ? "X2" : "N";
            case DC_24, DC_24_WITH_RELAY -> "M";
        };
    }

    /** The rated voltage of what hangs between the rails. */
    String volts() {
        if (direct()) {
            return DIRECT;
        }
        if (wish.has(ControlSupply.TRANSFORMER)) {
            return northAmerican() ? "120 V AC" : "230 V AC";
        }
        return wish.motor().voltageToNeutral();
    }

    void rails() {
        draft.rail(line(), "1");
        draft.rail(back(), "2");
        if (wish.has(ControlSupply.DC_24_WITH_RELAY)) {
            draft.rail("L", "11");
            draft.rail("N", "12");
        }
        if (hornHasItsOwnSupply()) {
            draft.rail("L24", "11");
            draft.rail("M24", "12");
        }
    }

    void devices() {
        switch (wish.choice(ControlSupply.class)) {
            case LINE_TO_NEUTRAL -> fuse(1, "Control fuse", "2 A");
            case TRANSFORMER -> {
                fuse(1, "Primary fuse", "1 A");
                fuse(2, "Primary fuse", "1 A");
                fuse(3, "Secondary fuse", northAmerican() ? "1.5 A" : "0.63 A");
                draft.device(
                        "control-transformer",
                        tags.transformer(),
                        "Control transformer",
                        "panel",
                        "primary",
                        wish.motor().voltage(),
                        "secondary",
                        volts(),
                        "rated",
                        "150 VA");
            }
            case DC_24, DC_24_WITH_RELAY -> {
                fuse(1, "Control fuse", "2 A");
                fuse(2, "Fuse of the 24 V", "2 A");
                draft.device(
                        "dc-supply",
                        tags.directSupply(),
                        "24 V supply",
                        "panel",
                        "input",
                        wish.motor().voltageToNeutral(),
                        "output",
                        DIRECT,
                        "rated",
                        "2.5 A",
                        "minus",
                        "grounded");
            }
        }
    }

    private void fuse(int number, String label, String rated) {
        draft.device("fuse", tags.fuse(number), label, "panel", "rated", rated);
    }

    /** The columns that lead from the power circuit to the rails. */
    void columns() {
        String neutral = tags.supply() + "[N]";
        switch (wish.choice(ControlSupply.class)) {
            case LINE_TO_NEUTRAL -> {
                draft.power(line(1) + " " + tags.fuse(1) + "[1-2] L ; "
                        + (isAhead() ? EXCEPTED : "control supply behind its own fuse"));
                draft.power(neutral + " N");
            }
            case TRANSFORMER -> {
                draft.power(line(1) + " " + tags.fuse(1) + "[1-2] @H1 " + tags.transformer() + "[H1-H4] @H4 "
                        + tags.fuse(2) + "[2-1] " + line(2) + (isAhead() ? " ; " + EXCEPTED : ""));
                draft.power(tags.transformer() + "[X1] @13 " + tags.fuse(3) + "[1-2] " + line() + " ; secondary fuse");
                draft.power(tags.transformer() + "[X2] " + back() + " ; grounded side");
            }
            case DC_24 -> {
                draft.power(line(1) + " " + tags.fuse(1) + "[1-2] @11 " + tags.directSupply() + "[L-N] " + neutral
                        + (isAhead() ? " ; " + EXCEPTED : ""));
                directOutput();
            }
            case DC_24_WITH_RELAY -> {
                draft.power(line(1) + " " + tags.fuse(1) + "[1-2] L ; "
                        + (isAhead() ? EXCEPTED : "the contactor's supply"));
                draft.power(neutral + " N");
                directOutput();
                draft.rung("L " + tags.directSupply() + "[L-N] N ; the supply of the 24 V");
            }
        }
    }

    /**
     * Whether the control circuit is taken ahead of the motor's breaker: where a lamp is to tell that this one has tripped. The contactor drops all the same,
     * for its coil is behind a contact of the breaker.
     */
    private boolean isAhead() {
        return wish.has(ProtectiveDevice.MOTOR_PROTECTIVE_BREAKER)
                && wish.lamps().contains(Lamp.TRIPPED);
    }

    private String line(int number) {
        return (isAhead() ? "@L" : "@1L") + number;
    }

    private void directOutput() {
        draft.power(tags.directSupply() + "[+] @13 " + tags.fuse(2) + "[1-2] P ; 24 V behind its own fuse");
        draft.power(tags.directSupply() + "[-] M");
    }

    /** Whether the horn needs a supply of its own, because the ladder is not on 24 V DC already. */
    private boolean hornHasItsOwnSupply() {
        return !wish.has(Warning.NONE) && !direct();
    }

    /** The rails between which a 24 V DC horn hangs, line side first. */
    String[] hornRails() {
        return hornHasItsOwnSupply() ? new String[] {"L24", "M24"} : new String[] {line(), back()};
    }

    /** The rung that feeds the horn's own supply, which meets no other. */
    void hornSupply() {
        if (hornHasItsOwnSupply()) {
            draft.rung(line() + " " + tags.directSupply() + "[L-N] " + back());
        }
    }

    /** The device of the horn's own supply. */
    void hornDevices() {
        if (hornHasItsOwnSupply()) {
            draft.device(
                    "dc-supply",
                    tags.directSupply(),
                    "Horn supply",
                    "panel",
                    "input",
                    volts(),
                    "output",
                    DIRECT,
                    "rated",
                    "2.5 A",
                    "minus",
                    "grounded");
        }
    }

    /** The output of the horn's own supply. */
    void hornColumns() {
        if (!hornHasItsOwnSupply()) {
            return;
        }
        draft.power(tags.directSupply() + "[+] L24");
        draft.power(tags.directSupply() + "[-] M24");
    }
}
