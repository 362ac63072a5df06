package parable.starters;

import parable.circuit.Practice;
import parable.parts.LeadMarking;

/** Draws the power circuit of a starter and the supply of its ladder. */
final class PowerPlan {

    /** The line that each pole of a reversing contactor leads to: the outer two exchanged. */
    private static final int[] SWAPPED = {3, 2, 1};

    private final Wish wish;
    private final Tags tags;
    private final SheetDraft draft;
    private final String contactor;
    private final String[] leads;

    /**
     * A plan for a wish.
     *
     * @param contactor the contactor in the column of the motor
     */
    PowerPlan(Wish wish, Tags tags, SheetDraft draft, String contactor) {
        this.wish = wish;
        this.tags = tags;
        this.draft = draft;
        this.contactor = contactor;
        leads = wish.practice() == Practice.IEC ? new String[] {"U", "V", "W"} : new String[] {"T1", "T2", "T3"};
    }

    /** The devices that stand before the contactor. */
    void feed() {
        MotorData motor = wish.motor();
        draft.device(
                "three-phase-supply",
                tags.supply(),
                "Incoming supply",
                "panel",
                "voltage",
                motor.voltage(),
                "frequency",
                motor.frequency());
        if (wish.has(ProtectiveDevice.OVERLOAD_RELAY)) {
            draft.device(
                    "circuit-breaker",
                    tags.breaker(),
                    "Motor breaker",
                    "panel",
                    "rated",
                    motor.breaker(),
                    "curve",
                    wish.practice() == Practice.IEC ? "D" : "");
        } else {
            draft.device(
                    "motor-protective-breaker",
                    tags.breaker(),
                    "Motor breaker",
                    "panel",
                    "setting",
                    motor.current(),
                    "aux",
                    "13-14 21-22",
                    "trip",
                    wish.lamps().contains(Lamp.TRIPPED) ? "97-98" : "");
        }
    }

    /** The overload relay, if there is one, and the motor. */
    void motor() {
        MotorData motor = wish.motor();
        if (wish.has(ProtectiveDevice.OVERLOAD_RELAY)) {
            String slow = wish.has(Braking.NONE) ? "" : "20";
            String setting = wish.has(Running.DIRECT) ? motor.current() : motor.currentInDelta();
            draft.device("overload-relay", tags.overload(), "Overload", "panel", "setting", setting, "class", slow);
        }
        draft.device(
                "three-phase-motor",
                tags.motor(),
                motor.label(),
                motor.place(),
                "voltage",
                motor.voltage(),
                "power",
                motor.power(),
                "current",
                motor.current(),
                "leads",
                wish.has(Running.DIRECT) ? "" : "6",
                LeadMarking.SETTING,
                LeadMarking.of(wish.practice()).setting(),
                "drives",
                motor.drives(),
                "load",
                motor.load(),
                "run-up",
                motor.runUp());
    }

    /** The three columns from the supply to the motor. */
    void columns() {
        for (int i = 0; i < 3; i++) {
            String pole = (2 * i + 1) + "-" + (2 * i + 2);
            String line = tags.supply() + "[L" + (i + 1) + "] @L" + (i + 1) + " " + tags.breaker() + "[" + pole
                    + "] @1L" + (i + 1) + " " + contactor + "[" + pole + "]";
            String overload = wish.has(ProtectiveDevice.OVERLOAD_RELAY)
                    ? " @2L" + (i + 1) + " " + tags.overload() + "[" + pole + "]"
                    : "";
            draft.power(line + overload + lead(i));
        }
    }

    /** The protective conductors: to the motor, to the mounting plate, and to each place with devices of its own. */
    void protectiveConductors() {
        Metalwork.draw(draft, tags::metal, tags.supply(), tags.motor());
    }

    private String lead(int phase) {
        if (wish.has(Running.DIRECT)) {
            return " @" + leads[phase] + " " + tags.motor() + "[" + beginning(phase) + "]";
        }
        String pole = (2 * phase + 1) + "-" + (2 * phase + 2);
        return " @" + beginning(phase) + " " + tags.motor() + "[" + beginning(phase) + "-" + end(phase) + "] @"
                + end(phase) + " " + tags.star() + "[" + pole + "] @star";
    }

    private String beginning(int phase) {
        return LeadMarking.of(wish.practice()).leads().get(phase);
    }

    /** The marking at a winding's end, which is the number of the wire there. */
    private String end(int phase) {
        return LeadMarking.of(wish.practice()).leads().get(leads.length + phase);
    }

    /**
     * Delta joins U1 to V2, V1 to W2, W1 to U2. Either order turns the motor the same way; with this one the voltage of a winding steps back by 30 degrees at
     * the transition, towards the field that is left in the rotor and has fallen behind meanwhile, so that the peak of current is smaller.
     */
    void delta() {
        for (int i = 0; i < 3; i++) {
            String pole = (2 * i + 1) + "-" + (2 * i + 2);
            draft.power("@1L" + (i + 1) + " " + tags.delta() + "[" + pole + "] @" + end((i + 1) % 3));
        }
    }

    /** The reversing contactor beside the other, with two lines exchanged. */
    void swap() {
        boolean relay = wish.has(ProtectiveDevice.OVERLOAD_RELAY);
        for (int i = 0; i < 3; i++) {
            String pole = (2 * i + 1) + "-" + (2 * i + 2);
            String to = relay ? "@2L" + SWAPPED[i] : "@" + leads[SWAPPED[i] - 1];
            draft.power("@1L" + (i + 1) + " " + tags.reverse() + "[" + pole + "] " + to);
        }
    }

    /**
     * Two lines through a rectifier and a resistor into two motor leads: behind fuses of its own, and a pole of the brake contactor in each of the
     * four, so that the motor's lines do not reach the rectifier while it runs.
     */
    void brake() {
        String brake = tags.brake();
        draft.power("@1L1 " + tags.brakeFuse(1) + "[1-2] @25 " + brake + "[1-2] @21 " + tags.rectifier()
                + "[~1-~2] @22 " + brake + "[4-3] @26 " + tags.brakeFuse(2) + "[2-1] @1L2");
        draft.power(tags.rectifier() + "[+] @23 " + tags.resistor() + "[1-2] @24 " + brake + "[5-6] @" + leads[0]);
        draft.power(tags.rectifier() + "[-] @27 " + brake + "[7-8] @" + leads[1]);
    }
}
