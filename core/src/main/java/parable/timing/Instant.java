package parable.timing;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import parable.parts.TimeRange;
import parable.reach.CircuitMachine;
import parable.reach.Component;

/** One instant on the way from a timed state to the next: what moves in it, and which clocks it starts, stops and lets run out. */
public final class Instant {

    /** What a clock of a part measures. */
    enum Kind {
        /** Until the contacts that break have opened. */
        BREAK,
        /** Until the contacts that make have closed. */
        MAKE,
        /** Until a timer comes to its next stage. */
        STAGE,
        /** Until a timer notices that its coil is dead. */
        NOTICE,
        /** Until a finger may let go. */
        HOLD,
        /** Until a controller scans. */
        SCAN,
        /** Until the contacts that make have closed by a command that was taken back in mid-travel, and whose end may still come to pass. */
        TAKEN_BACK
    }

    /** What happened to a clock. */
    enum Deed {
        STARTED,
        STOPPED,
        RAN_OUT,
        /** From now on it is that of a command that was taken back. */
        TURNED
    }

    /** Something that happened to a clock of a part; the range counts for a start only. */
    public record Event(Deed deed, int part, Kind kind, TimeRange range) {}

    private static final int UNIT = 100;

    private final List<Event> events = new ArrayList<>();
    private final CircuitMachine machine;
    private long positions;
    private long commanded;
    private final boolean underway;
    private Optional<Zone> zone;

    Instant(CircuitMachine machine, long positions, long commanded, Zone zone) {
        this(machine, positions, commanded, zone, false);
    }

    private Instant(CircuitMachine machine, long positions, long commanded, Zone zone, boolean underway) {
        this.underway = underway;
        this.machine = machine;
        this.positions = positions;
        this.commanded = commanded;
        this.zone = Optional.of(zone);
    }

    /** An instant at which nobody knows for how long what is under way has been so: a clock that is started may be near its end. */
    static Instant underway(CircuitMachine machine, long positions) {
        return new Instant(machine, positions, 0, Zone.EMPTY, true);
    }

    /** The parts, a bit each, of which nobody knows for how long what is under way has been so. */
    long unknown() {
        long unknown = 0;
        for (Event event : underway ? events : List.<Event>of()) {
            unknown |= 1L << event.part();
        }
        return unknown;
    }

    /** Where everything is at this instant. */
    public long positions() {
        return positions;
    }

    long commanded() {
        return commanded;
    }

    /** The times left at this instant, empty if it cannot be. */
    Optional<Zone> zone() {
        return zone;
    }

    /** What happens in it, in order. */
    public List<Event> events() {
        return events;
    }

    int value(int part) {
        return machine.value(positions, part);
    }

    /** The value of a part at the beginning; a button with several blocks is elsewhere as long as it is pushed. */
    int restOf(int part) {
        return machine.component(part) instanceof Component.Button
                ? value(part) & ~1
                : machine.component(part).rest();
    }

    void move(int part, int value) {
        positions = machine.with(positions, new CircuitMachine.Move(part, value, false));
    }

    void moveByHand(CircuitMachine.Move move) {
        positions = machine.with(positions, move);
    }

    boolean isCommanded(int part) {
        return (commanded >> part & 1) == 1;
    }

    void command(int part, boolean away) {
        commanded = away ? commanded | 1L << part : commanded & ~(1L << part);
    }

    private static int clock(int part, Kind kind) {
        return part * Kind.values().length + kind.ordinal();
    }

    boolean runs(int part, Kind kind) {
        return zone.filter(now -> now.runs(clock(part, kind))).isPresent();
    }

    /** Starts a clock that does not run. */
    void start(int part, Kind kind, TimeRange range) {
        int shortest = underway ? 0 : (int) (range.shortest() / UNIT);
        int longest = (int) Math.min(Zone.UNBOUNDED, (range.longest() + UNIT - 1) / UNIT);
        zone = zone.map(now -> now.with(clock(part, kind), shortest, longest));
        events.add(new Event(Deed.STARTED, part, kind, range));
    }

    /** Of two clocks of a part the first runs out no later than the second. */
    void order(int part, Kind first, Kind second) {
        zone = zone.flatMap(now -> now.ordered(clock(part, first), clock(part, second)));
    }

    /** Stops a clock if it runs. */
    void stop(int part, Kind kind) {
        if (runs(part, kind)) {
            zone = zone.map(now -> now.without(clock(part, kind)));
            events.add(new Event(Deed.STOPPED, part, kind, TimeRange.AT_ONCE));
        }
    }

    /** A clock runs out now; if it cannot, this instant cannot be. */
    void runOut(int part, Kind kind) {
        zone = zone.flatMap(now -> now.ranOut(clock(part, kind)));
        events.add(new Event(Deed.RAN_OUT, part, kind, TimeRange.AT_ONCE));
    }

    /** The command that was under way is taken back: its clock goes on as that of what may still come to pass. */
    void takeBack(int part) {
        stop(part, Kind.TAKEN_BACK);
        if (runs(part, Kind.MAKE)) {
            zone = zone.map(now -> now.renamed(clock(part, Kind.MAKE), clock(part, Kind.TAKEN_BACK)));
            events.add(new Event(Deed.TURNED, part, Kind.MAKE, TimeRange.AT_ONCE));
        }
    }
}
