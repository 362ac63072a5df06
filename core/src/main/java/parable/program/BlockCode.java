package parable.program;

/**
 * What an instance of a function block remembers, as one small number, and how a scan changes it. Times are counted in marks: the
 * preset time and every time that its elapsed time is compared with, in order.
 */
sealed interface BlockCode {

    /** Whether the output is 1. */
    boolean output(int value);

    /** How many bits every value takes that can come up. */
    int bits();

    /** A value of those bits that behaves the same for ever. */
    default int folded(int value) {
        return value;
    }

    /** A timer: how many marks its elapsed time has passed, and whether it will pass more. */
    sealed interface OfTimer extends BlockCode {

        /** How many marks there are. */
        int marks();

        /** How many marks have been passed, as the program sees it. */
        int passed(int value);

        /** Whether time is counted. */
        boolean runs(int value);

        /**
         * The value after the block was called.
         *
         * @param reached how many marks its elapsed time has reached since it began; counts only if it runs
         */
        int called(int value, boolean input, int reached);
    }

    private static int bitsFor(int highest) {
        return Integer.SIZE - Integer.numberOfLeadingZeros(highest);
    }

    /** 0 idle, otherwise one more than the marks passed. */
    record OnDelay(int marks) implements OfTimer {
        @Override
        public boolean output(int value) {
            return value == 1 + marks;
        }

        @Override
        public int bits() {
            return bitsFor(1 + marks);
        }

        @Override
        public int passed(int value) {
            return Math.max(0, value - 1);
        }

        @Override
        public boolean runs(int value) {
            return value > 0 && value <= marks;
        }

        @Override
        public int called(int value, boolean input, int reached) {
            if (!input) {
                return 0;
            }
            return value == 0 ? 1 : runs(value) ? 1 + Math.max(passed(value), reached) : value;
        }
    }

    /** 0 never on, 1 on, otherwise two more than the marks passed since it went off. */
    record OffDelay(int marks) implements OfTimer {
        @Override
        public boolean output(int value) {
            return value == 1 || value >= 2 && value < 2 + marks;
        }

        @Override
        public int bits() {
            return bitsFor(2 + marks);
        }

        @Override
        public int passed(int value) {
            return Math.max(0, value - 2);
        }

        @Override
        public boolean runs(int value) {
            return value >= 2 && value < 2 + marks;
        }

        @Override
        public int called(int value, boolean input, int reached) {
            if (input) {
                return 1;
            }
            return value == 1 ? 2 : runs(value) ? 2 + Math.max(passed(value), reached) : value;
        }
    }

    /** 0 idle, 1 over but the input still there, otherwise two more than the marks passed. */
    record Pulse(int marks) implements OfTimer {
        @Override
        public boolean output(int value) {
            return value >= 2;
        }

        @Override
        public int bits() {
            return bitsFor(1 + marks);
        }

        @Override
        public int passed(int value) {
            return value == 1 ? marks : Math.max(0, value - 2);
        }

        @Override
        public boolean runs(int value) {
            return value >= 2;
        }

        @Override
        public int called(int value, boolean input, int reached) {
            if (value < 2) {
                boolean begins = value == 0 && input && marks > 0;
                return begins ? 2 : input ? 1 : 0;
            }
            int passed = Math.max(passed(value), reached);
            return passed < marks ? 2 + passed : input ? 1 : 0;
        }
    }

    /** Twice the number counted, and one more while the input is 1. */
    record UpCounter(int preset) implements BlockCode {
        private static final int MOST = Short.MAX_VALUE;

        @Override
        public boolean output(int value) {
            return counted(value) >= preset;
        }

        @Override
        public int bits() {
            return bitsFor(2 * preset + 1);
        }

        @Override
        public int folded(int value) {
            return 2 * Math.min(preset, counted(value)) + (value & 1);
        }

        int counted(int value) {
            return value >> 1;
        }

        int called(int value, boolean input, boolean reset) {
            boolean rises = input && (value & 1) == 0;
            int count = reset ? 0 : Math.min(MOST, counted(value) + (rises ? 1 : 0));
            return 2 * count + (input ? 1 : 0);
        }
    }

    /** Two while the output is 1, and one more while the input is 1. */
    record EdgeCode(boolean rising) implements BlockCode {
        @Override
        public boolean output(int value) {
            return value >= 2;
        }

        @Override
        public int bits() {
            return 2;
        }

        int called(int value, boolean input) {
            boolean before = (value & 1) == 1;
            boolean edge = rising ? input && !before : !input && before;
            return (edge ? 2 : 0) + (input ? 1 : 0);
        }
    }
}
