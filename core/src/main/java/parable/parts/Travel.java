package parable.parts;

/**
 * How long a device's contacts take to follow when it is moved away from rest and back. Within one movement the contacts
 * that break go before those that make, except where both times are zero.
 *
 * @param breakAway from the command to leave rest until the closed contacts have opened
 * @param makeAway from the command to leave rest until the open contacts have closed
 * @param breakBack from the command to return until the contacts closed away from rest have opened
 * @param makeBack from the command to return until the contacts closed at rest have closed
 */
public record Travel(TimeRange breakAway, TimeRange makeAway, TimeRange breakBack, TimeRange makeBack) {

    /** Everything in the same instant. */
    public static final Travel AT_ONCE =
            new Travel(TimeRange.AT_ONCE, TimeRange.AT_ONCE, TimeRange.AT_ONCE, TimeRange.AT_ONCE);

    /** A contactor with an AC coil: NC opens 8 ms, NO and poles close 15 ms; NO opens 8 ms, NC closes 14 ms. */
    static final Travel CONTACTOR = new Travel(
            TimeRange.millis(5, 8, 20),
            TimeRange.millis(10, 15, 35),
            TimeRange.millis(4, 8, 15),
            TimeRange.millis(6, 14, 25));

    /** A contactor with a DC coil, whose current has to build up: NC opens 35 ms, NO and poles close 45 ms (data sheets, 30 to 70 ms); back as with AC. */
    static final Travel DIRECT_CONTACTOR = new Travel(
            TimeRange.millis(20, 35, 60),
            TimeRange.millis(30, 45, 70),
            TimeRange.millis(4, 8, 15),
            TimeRange.millis(6, 14, 25));

    /** A control relay: break before make, 5 and 10 ms in, 3 and 8 ms out. */
    static final Travel CONTROL_RELAY = new Travel(
            TimeRange.millis(3, 5, 10),
            TimeRange.millis(6, 10, 20),
            TimeRange.millis(1, 3, 8),
            TimeRange.millis(4, 8, 15));

    /** The output of a timer: both contacts open for 1 to 3 ms. */
    static final Travel TIMER =
            new Travel(TimeRange.AT_ONCE, TimeRange.millis(1, 2, 3), TimeRange.AT_ONCE, TimeRange.millis(1, 2, 3));

    /** The relay at an output of a controller. */
    static final Travel OUTPUT_RELAY = new Travel(
            TimeRange.millis(3, 8, 15),
            TimeRange.millis(5, 10, 15),
            TimeRange.millis(3, 8, 15),
            TimeRange.millis(5, 10, 15));

    /** The transistor at an output of a controller. */
    static final Travel OUTPUT_TRANSISTOR = new Travel(
            TimeRange.millis(0, 0, 1), TimeRange.millis(0, 0, 1), TimeRange.millis(0, 0, 1), TimeRange.millis(0, 0, 1));

    /** A push button: the NC block breaks at once, then both are open for 5 ms of travel, then the NO block makes. */
    static final Travel BUTTON =
            new Travel(TimeRange.AT_ONCE, TimeRange.millis(1, 5, 30), TimeRange.AT_ONCE, TimeRange.millis(1, 5, 30));

    /** A spring mechanism that was released: trip of an overload relay, a breaker's toggle. */
    static final Travel SNAP = new Travel(
            TimeRange.millis(1, 2, 5),
            TimeRange.millis(1, 4, 10),
            TimeRange.millis(1, 2, 5),
            TimeRange.millis(1, 4, 10));

    /** A fuse link melting in a short circuit; put in and pulled by hand it takes no time that matters. */
    static final Travel FUSE_LINK =
            new Travel(TimeRange.AT_ONCE, TimeRange.AT_ONCE, TimeRange.millis(1, 5, 10), TimeRange.AT_ONCE);

    /** The time until contacts that must open do so: away from rest or back to it. */
    public TimeRange toBreak(boolean away) {
        return away ? breakAway : breakBack;
    }

    /** The time until contacts that must close do so: away from rest or back to it. */
    public TimeRange toMake(boolean away) {
        return away ? makeAway : makeBack;
    }

    /** This travel with a slower return, as behind a coil that is suppressed. */
    Travel returningSlower(int times) {
        return new Travel(breakAway, makeAway, breakBack.times(times), makeBack.times(times));
    }
}
