package parable.proof;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.IntStream;
import parable.parts.Contact;
import parable.parts.Drive;
import parable.parts.Family;
import parable.parts.Part;
import parable.parts.TimerProgram;

/** Something that moves, with a few positions; a state of the machine holds one value for each. */
sealed interface Component {

    /** How many bits its value takes. */
    int bits();

    /** Its value at rest. */
    int rest();

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
     * its coil has lost its voltage meanwhile, for it takes its drop-out time to let go; the same holds on the way back.
     */
    record Armature() implements Component {
        static final int REST = 0;
        static final int STARTED = 1;
        static final int RISING = 2;
        static final int IN = 3;
        static final int HANGING = 4;
        static final int FALLING = 5;

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
        public boolean isClosed(Contact contact, int value) {
            return switch (value) {
                case REST, STARTED -> contact.closedAt(0);
                case IN, HANGING -> contact.closedAt(1);
                default -> contact.closedAt(0) && contact.closedAt(1);
            };
        }

        @Override
        public List<Integer> next(int value, boolean fed) {
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

        private static boolean isPushed(int value) {
            return (value & 1) == 1;
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

    /** A clockwork that goes through its stages, each at any time after the one before. */
    record Clock(TimerProgram program) implements Component {
        private static final int IDLE = 0;
        private static final int FED = 1;
        private static final int RELEASED = 2;

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

        @Override
        public boolean isClosed(Contact contact, int value) {
            return contact.closedAt(value & 7);
        }

        @Override
        public List<Integer> next(int value, boolean fed) {
            int phase = value >> 6;
            int done = value >> 3 & 7;
            int position = value & 7;
            List<Integer> next = new ArrayList<>();
            if (fed && phase != FED) {
                next.add(value(FED, 0, position));
            } else if (!fed && phase == FED) {
                next.add(value(RELEASED, 0, position));
            } else if (phase != IDLE) {
                List<TimerProgram.Stage> stages = phase == FED ? program.fed() : program.released();
                if (done < stages.size()) {
                    next.add(value(phase, done + 1, stages.get(done).position()));
                } else if (phase == FED && program.repeats() && !stages.isEmpty()) {
                    next.add(value(phase, 0, position));
                } else if (phase == RELEASED) {
                    next.add(value(IDLE, 0, position));
                }
            }
            return next;
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
            return new Clock(timer.program());
        }
        if (drive instanceof Drive.ByTurning turning) {
            return new Hand(
                    IntStream.range(0, turning.positions().size()).boxed().toList(), initial);
        }
        if (drive instanceof Drive.BySpeed) {
            return new Hand(List.of(0, 1), initial);
        }
        return new Hand(drive.verbs().values().stream().distinct().sorted().toList(), initial);
    }
}
