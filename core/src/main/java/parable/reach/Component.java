package parable.reach;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import parable.parts.Contact;
import parable.parts.Drive;
import parable.parts.Family;
import parable.parts.Part;
import parable.parts.TimerProgram;

/** Something that moves, with a few positions; a state of the machine holds one value for each. */
public sealed interface Component {

    /** How many bits its value takes. */
    int bits();

    /** Its value at rest. */
    int rest();

    /** Whether a number of so many bits is one of its values. */
    boolean isValue(int value);

    /** Whether a contact is closed at a value. */
    boolean isClosed(Contact contact, int value);

    /** The values it may go to by itself, at any moment, with its coil fed or not. */
    List<Integer> next(int value, boolean fed);

    /** A hand, or the world: it may go to any of its positions at any moment. */
    record Hand(List<Integer> positions, int rest) implements Component {
        public Hand {
            positions = List.copyOf(positions);
        }

        @Override
        public int bits() {
            return 32
                    - Integer.numberOfLeadingZeros(
                            positions.stream().mapToInt(Integer::intValue).max().orElse(0));
        }

        @Override
        public boolean isValue(int value) {
            return positions.contains(value);
        }

        @Override
        public boolean isClosed(Contact contact, int value) {
            return contact.closedAt(value);
        }

        @Override
        public List<Integer> next(int value, boolean fed) {
            return List.of();
        }
    }

    /**
     * An armature. Fed, it is started, then on its way in, then in; let go, it hangs on for a while, then is on its way back.
     * Underway everything that moves is open, for contacts break before they make. Once started it may go all the way in although
     * its coil has lost its voltage meanwhile, for it takes its drop-out time to let go; the same holds on the way back. One of which only
     * contacts that make are used looks the same underway as at rest, so that being underway is left out.
     */
    record Armature(boolean onlyMakes) implements Component {

        /** With contacts that break and such that make. */
        Armature() {
            this(false);
        }

        /** At rest. */
        public static final int REST = 0;

        /** Its coil is fed, and nothing has moved yet. */
        public static final int STARTED = 1;

        /** On its way in. */
        public static final int RISING = 2;

        /** In. */
        public static final int IN = 3;

        /** Its coil is dead, and it holds on for a while yet. */
        public static final int HANGING = 4;

        /** On its way back. */
        public static final int FALLING = 5;

        @Override
        public int bits() {
            return 3;
        }

        @Override
        public int rest() {
            return REST;
        }

        /** Whether it has left its place at rest, so that a mechanical interlock bars the other. */
        static boolean isAway(int value) {
            return value >= RISING;
        }

        @Override
        public boolean isValue(int value) {
            return value <= FALLING;
        }

        @Override
        public boolean isClosed(Contact contact, int value) {
            return switch (value) {
                case REST, STARTED -> contact.closedAt(0);
                case IN, HANGING -> contact.closedAt(1);
                default -> contact.closedAt(0) && contact.closedAt(1);
            };
        }

        @Override
        public List<Integer> next(int value, boolean fed) {
            return onlyMakes ? nextOfMakes(value, fed) : nextOfAll(value, fed);
        }

        private static List<Integer> nextOfMakes(int value, boolean fed) {
            return switch (value) {
                case REST -> fed ? List.of(STARTED) : List.of();
                case STARTED -> fed ? List.of(IN) : List.of(IN, REST);
                case IN -> fed ? List.of() : List.of(HANGING);
                default -> fed ? List.of(REST, IN) : List.of(REST);
            };
        }

        private static List<Integer> nextOfAll(int value, boolean fed) {
            return switch (value) {
                case REST -> fed ? List.of(STARTED) : List.of();
                case STARTED -> fed ? List.of(RISING) : List.of(RISING, REST);
                case RISING -> fed ? List.of(IN) : List.of(IN, REST);
                case IN -> fed ? List.of() : List.of(HANGING);
                case HANGING -> fed ? List.of(FALLING, IN) : List.of(FALLING);
                default -> fed ? List.of(REST, IN) : List.of(REST);
            };
        }
    }

    /** A button with several blocks: a hand pushes and lets go at any moment, the blocks follow in their own time, open on the way. */
    record Button() implements Component {
        private static final int REST = 0;
        private static final int DOWN = 2;

        @Override
        public int bits() {
            return 3;
        }

        @Override
        public int rest() {
            return 0;
        }

        /** The value after a hand has pushed it or let it go. */
        static int toggled(int value) {
            return value ^ 1;
        }

        /** The value after a hand has pushed it or let it go and all blocks that break have opened. */
        public static int underway(int value) {
            return toggled(value) & 1 | 1 << 1;
        }

        /** The value once its blocks have followed the hand. */
        public static int arrived(int value) {
            return value & 1 | (isPushed(value) ? DOWN : REST) << 1;
        }

        /** Whether a hand is on it. */
        public static boolean isPushed(int value) {
            return (value & 1) == 1;
        }

        @Override
        public boolean isValue(int value) {
            return value >> 1 <= DOWN;
        }

        @Override
        public boolean isClosed(Contact contact, int value) {
            return switch (value >> 1) {
                case REST -> contact.closedAt(0);
                case DOWN -> contact.closedAt(1);
                default -> contact.closedAt(0) && contact.closedAt(1);
            };
        }

        @Override
        public List<Integer> next(int value, boolean fed) {
            int place = value >> 1;
            if (isPushed(value)) {
                return place < DOWN ? List.of(value + 2) : List.of();
            }
            return place > REST ? List.of(value - 2) : List.of();
        }
    }

    /**
     * A clockwork that goes through its stages, each at any time after the one before. As long as it has not noticed that its coil is
     * dead it goes on.
     */
    record Clockwork(TimerProgram program) implements Component {
        /** Nothing is under way. */
        public static final int IDLE = 0;

        /** Its coil is fed, and its stages go on. */
        public static final int FED = 1;

        /** Its coil was let go, and the stages that follow that go on. */
        public static final int RELEASED = 2;

        @Override
        public int bits() {
            return 8;
        }

        @Override
        public int rest() {
            return 0;
        }

        private static int value(int phase, int done, int position) {
            return phase << 6 | done << 3 | position;
        }

        /** Whether it is idle, fed, or has lost its coil without having noticed. */
        public static int phase(int value) {
            return value >> 6;
        }

        private static int done(int value) {
            return value >> 3 & 7;
        }

        private static int position(int value) {
            return value & 7;
        }

        @Override
        public boolean isValue(int value) {
            return phase(value) <= RELEASED && done(value) <= program.fed().size();
        }

        @Override
        public boolean isClosed(Contact contact, int value) {
            return contact.closedAt(position(value));
        }

        /** The value after its coil was fed or has gone dead. */
        public static int fed(int value, boolean fed) {
            return value(fed ? FED : RELEASED, done(value), position(value));
        }

        /** The value after it has noticed that its coil is dead. */
        public int idle() {
            return value(IDLE, 0, program.released().get(0).position());
        }

        /** The value after the next stage, empty if it waits for nothing. */
        public Optional<Integer> nextStage(int value) {
            return stageAfter(value)
                    .map(stage ->
                            value(phase(value), done(value) % program.fed().size() + 1, stage.position()));
        }

        /** The stage that it waits for. */
        public Optional<TimerProgram.Stage> stageAfter(int value) {
            int done = done(value);
            int stages = program.fed().size();
            return phase(value) == IDLE || done == stages && !program.repeats()
                    ? Optional.empty()
                    : Optional.of(program.fed().get(done % stages));
        }

        @Override
        public List<Integer> next(int value, boolean fed) {
            List<Integer> next = new ArrayList<>();
            if (fed && phase(value) != FED) {
                next.add(fed(value, true));
            } else if (!fed && phase(value) == FED) {
                next.add(fed(value, false));
            } else if (phase(value) == RELEASED) {
                next.add(idle());
            }
            nextStage(value).ifPresent(next::add);
            return next;
        }
    }

    /** What is 0 at rest, or 1. */
    sealed interface Bit extends Component {
        @Override
        default int bits() {
            return 1;
        }

        @Override
        default int rest() {
            return 0;
        }

        @Override
        default boolean isValue(int value) {
            return value <= 1;
        }
    }

    /** An armature that is out or in and nowhere between, with all its contacts. */
    record TwoPlace() implements Bit {
        @Override
        public boolean isClosed(Contact contact, int value) {
            return contact.closedAt(value);
        }

        @Override
        public List<Integer> next(int value, boolean fed) {
            return fed == (value == 1) ? List.of() : List.of(1 - value);
        }
    }

    /** An output of a controller, which follows what its program has told it in its own time. */
    record Output() implements Bit {
        @Override
        public boolean isClosed(Contact contact, int value) {
            return value == 1;
        }

        @Override
        public List<Integer> next(int value, boolean fed) {
            return fed == (value == 1) ? List.of() : List.of(1 - value);
        }
    }

    /** A timer of a program: 1 once it has come to its next mark and the program has not noticed yet. */
    record ProgramTimer() implements Bit {
        @Override
        public boolean isClosed(Contact contact, int value) {
            return false;
        }

        @Override
        public List<Integer> next(int value, boolean fed) {
            return fed && value == 0 ? List.of(1) : List.of();
        }
    }

    /** What a program remembers; where it goes the machine knows. */
    record Memory(int bits) implements Component {
        @Override
        public int rest() {
            return 0;
        }

        @Override
        public boolean isValue(int value) {
            return true;
        }

        @Override
        public boolean isClosed(Contact contact, int value) {
            return false;
        }

        @Override
        public List<Integer> next(int value, boolean fed) {
            return List.of();
        }
    }

    /** The component of a part in its place at the beginning. */
    static Component of(Part part, int initial) {
        Drive drive = part.drive();
        boolean opens = part.contacts().stream().anyMatch(Contact::isNormallyClosed);
        boolean closes = part.contacts().stream().anyMatch(contact -> !contact.isNormallyClosed());
        if (part.family() == Family.PUSH_BUTTON && opens && closes) {
            return new Button();
        }
        if (drive instanceof Drive.ByCoil) {
            return new Armature();
        }
        if (drive instanceof Drive.ByTimer timer) {
            return new Clockwork(timer.program());
        }
        if (drive instanceof Drive.ByTurning turning) {
            return new Hand(
                    IntStream.range(0, turning.positions().size()).boxed().toList(), initial);
        }
        if (drive instanceof Drive.BySpeed || drive instanceof Drive.ByProgram) {
            return new Hand(List.of(0, 1), initial);
        }
        return new Hand(drive.verbs().values().stream().distinct().sorted().toList(), initial);
    }
}
