package parable.timing;

import java.util.ArrayList;
import java.util.List;
import java.util.function.Consumer;
import parable.parts.Part;
import parable.parts.TimeRange;
import parable.parts.TimerProgram;
import parable.reach.CircuitMachine;
import parable.reach.Component;
import parable.reach.ProgrammedParts;
import parable.timing.Instant.Kind;

/** A part whose times are kept: what it does the moment its coil is fed or not, and what may come to pass on it next. */
sealed interface TimedPart {

    /** Whether it feels that its coil is fed, as it did last. */
    default boolean isFelt(Instant now) {
        return false;
    }

    /** Starts whatever may run in the state that it is in, for how long nobody knows. */
    void resume(Instant now);

    /** Whether there may be a command besides that was taken back. */
    default boolean mayHaveTakenBack(Instant now) {
        return false;
    }

    /** Starts the clock of a command that was taken back, for how long nobody knows. */
    default void resumeTakenBack(Instant now) {}

    /** It feels its coil. */
    void feel(Instant now, boolean fed, boolean barred);

    /** What may come to pass next, each as what it does to an instant. */
    List<Consumer<Instant>> next(Instant before, boolean barred);

    /** A hand presses it or lets it go. */
    default void toggle(Instant now, CircuitMachine.Move move) {
        now.moveByHand(move);
    }

    /**
     * An armature. Two clocks are those of its latest command. An armature none of whose contacts has moved when it changes its mind stays; in
     * mid-travel, what the command before had set going may still come to pass when its own clock runs out, until the new command breaks.
     */
    record OfArmature(int part, Part of) implements TimedPart {

        @Override
        public boolean isFelt(Instant now) {
            return now.isCommanded(part);
        }

        @Override
        public void feel(Instant now, boolean fed, boolean barred) {
            int value = now.value(part);
            if (fed != now.isCommanded(part)) {
                now.command(part, fed);
                now.stop(part, Kind.BREAK);
                if (value == Component.Armature.RISING || value == Component.Armature.FALLING) {
                    now.takeBack(part);
                } else {
                    now.stop(part, Kind.MAKE);
                    now.stop(part, Kind.TAKEN_BACK);
                }
                int then = changedItsMind(value, fed);
                now.move(part, then);
                if (then != Component.Armature.REST && then != Component.Armature.IN) {
                    begin(now, fed);
                }
            } else if (fed && value == Component.Armature.STARTED && !barred && !now.runs(part, Kind.MAKE)) {
                begin(now, true);
            }
        }

        @Override
        public void resume(Instant now) {
            int value = now.value(part);
            boolean away = value == Component.Armature.STARTED
                    || value == Component.Armature.RISING
                    || value == Component.Armature.IN;
            now.command(part, away);
            if (value != Component.Armature.REST && value != Component.Armature.IN) {
                begin(now, away);
            }
        }

        /** Whether a command may have been taken back in this state. */
        @Override
        public boolean mayHaveTakenBack(Instant now) {
            int value = now.value(part);
            return value == Component.Armature.RISING || value == Component.Armature.FALLING;
        }

        @Override
        public void resumeTakenBack(Instant now) {
            boolean away = now.value(part) == Component.Armature.RISING;
            now.start(part, Kind.TAKEN_BACK, of.travel().toMake(!away));
        }

        private static int changedItsMind(int value, boolean fed) {
            return switch (value) {
                case Component.Armature.REST, Component.Armature.STARTED -> fed
                        ? Component.Armature.STARTED
                        : Component.Armature.REST;
                case Component.Armature.IN, Component.Armature.HANGING -> fed
                        ? Component.Armature.IN
                        : Component.Armature.HANGING;
                default -> fed ? Component.Armature.RISING : Component.Armature.FALLING;
            };
        }

        private void begin(Instant now, boolean away) {
            now.start(part, Kind.BREAK, of.travel().toBreak(away));
            now.start(part, Kind.MAKE, of.travel().toMake(away));
            now.order(part, Kind.BREAK, Kind.MAKE);
        }

        @Override
        public List<Consumer<Instant>> next(Instant before, boolean barred) {
            List<Consumer<Instant>> next = new ArrayList<>();
            boolean breaks = before.runs(part, Kind.BREAK);
            boolean makes = before.runs(part, Kind.MAKE);
            int value = before.value(part);
            boolean fed = before.isCommanded(part);
            int underway = fed ? Component.Armature.RISING : Component.Armature.FALLING;
            if (breaks) {
                next.add(now -> breakNow(now, value, underway, barred));
            }
            if (makes && value == underway) {
                next.add(now -> {
                    now.runOut(part, Kind.MAKE);
                    now.stop(part, Kind.BREAK);
                    now.stop(part, Kind.TAKEN_BACK);
                    now.move(part, fed ? Component.Armature.IN : Component.Armature.REST);
                });
            }
            if (before.runs(part, Kind.TAKEN_BACK)) {
                next.add(now -> {
                    now.runOut(part, Kind.TAKEN_BACK);
                    now.move(part, fed ? Component.Armature.STARTED : Component.Armature.HANGING);
                });
            }
            return next;
        }

        private void breakNow(Instant now, int value, int underway, boolean barred) {
            now.runOut(part, Kind.BREAK);
            now.stop(part, Kind.TAKEN_BACK);
            if (value == Component.Armature.STARTED && barred) {
                now.stop(part, Kind.MAKE);
            } else {
                now.move(part, underway);
            }
        }
    }

    /** A clockwork. */
    record OfClock(int part, TimerProgram program) implements TimedPart {

        @Override
        public void resume(Instant now) {
            int value = now.value(part);
            new Component.Clockwork(program)
                    .stageAfter(value)
                    .ifPresent(stage -> now.start(part, Kind.STAGE, stage.after()));
            if (Component.Clockwork.phase(value) == Component.Clockwork.RELEASED) {
                now.start(part, Kind.NOTICE, program.released().get(0).after());
            }
        }

        @Override
        public boolean isFelt(Instant now) {
            return Component.Clockwork.phase(now.value(part)) == Component.Clockwork.FED;
        }

        @Override
        public void feel(Instant now, boolean fed, boolean barred) {
            int value = now.value(part);
            int phase = Component.Clockwork.phase(value);
            if (fed && phase == Component.Clockwork.IDLE) {
                now.move(part, Component.Clockwork.fed(value, true));
                now.start(part, Kind.STAGE, program.fed().get(0).after());
            } else if (fed && phase == Component.Clockwork.RELEASED) {
                now.move(part, Component.Clockwork.fed(value, true));
                now.stop(part, Kind.NOTICE);
            } else if (!fed && phase == Component.Clockwork.FED) {
                now.move(part, Component.Clockwork.fed(value, false));
                now.start(part, Kind.NOTICE, program.released().get(0).after());
            }
        }

        @Override
        public List<Consumer<Instant>> next(Instant before, boolean barred) {
            List<Consumer<Instant>> next = new ArrayList<>();
            int value = before.value(part);
            Component.Clockwork clock = new Component.Clockwork(program);
            if (before.runs(part, Kind.STAGE)) {
                next.add(now -> {
                    now.runOut(part, Kind.STAGE);
                    int then = clock.nextStage(value).orElseThrow();
                    now.move(part, then);
                    clock.stageAfter(then).ifPresent(stage -> now.start(part, Kind.STAGE, stage.after()));
                });
            }
            if (before.runs(part, Kind.NOTICE)) {
                next.add(now -> {
                    now.runOut(part, Kind.NOTICE);
                    now.stop(part, Kind.STAGE);
                    now.move(part, clock.idle());
                });
            }
            return next;
        }
    }

    /** A button with several blocks, and the finger on it. */
    record OfButton(int part, Part of) implements TimedPart {

        @Override
        public void resume(Instant now) {
            int value = now.value(part);
            if (Component.Button.arrived(value) != value) {
                now.start(part, Kind.MAKE, of.travel().toMake(Component.Button.isPushed(value)));
            }
        }

        @Override
        public void feel(Instant now, boolean fed, boolean barred) {}

        @Override
        public List<Consumer<Instant>> next(Instant before, boolean barred) {
            return before.runs(part, Kind.MAKE)
                    ? List.of(now -> {
                        now.runOut(part, Kind.MAKE);
                        now.move(part, Component.Button.arrived(now.value(part)));
                    })
                    : List.of();
        }

        @Override
        public void toggle(Instant now, CircuitMachine.Move move) {
            now.move(part, Component.Button.underway(now.value(part)));
            boolean pressed = Component.Button.isPushed(now.value(part));
            finger(now, part);
            now.stop(part, Kind.MAKE);
            now.start(part, Kind.MAKE, of.travel().toMake(pressed));
        }
    }

    /** Whatever a hand moves and what follows it at once: only the hand takes its time. */
    record OfHand(int part) implements TimedPart {

        @Override
        public void resume(Instant now) {}

        @Override
        public void feel(Instant now, boolean fed, boolean barred) {}

        @Override
        public List<Consumer<Instant>> next(Instant before, boolean barred) {
            return List.of();
        }

        @Override
        public void toggle(Instant now, CircuitMachine.Move move) {
            now.moveByHand(move);
            finger(now, part);
        }
    }

    /**
     * The memory of a program. A scan comes within the scan time from when there is something new, and a controller that stops forgets at
     * once. What the terminals read counts when the scan begins; the filters are added to the time of the outputs.
     */
    record OfMemory(int part, CircuitMachine machine, long scan) implements TimedPart {

        @Override
        public void resume(Instant now) {}

        @Override
        public void feel(Instant now, boolean fed, boolean barred) {
            if (fed && !machine.scans(now.positions(), machine.conduction(now.positions()))) {
                now.stop(part, Kind.SCAN);
                now.move(part, 0);
            } else if (fed && !now.runs(part, Kind.SCAN)) {
                now.start(part, Kind.SCAN, new TimeRange(0, scan, scan));
            } else if (!fed) {
                now.stop(part, Kind.SCAN);
            }
        }

        @Override
        public List<Consumer<Instant>> next(Instant before, boolean barred) {
            return before.runs(part, Kind.SCAN)
                    ? List.of(now -> {
                        now.runOut(part, Kind.SCAN);
                        now.move(part, machine.remembersNext(now.positions(), machine.conduction(now.positions())));
                    })
                    : List.of();
        }
    }

    /** An output of a controller, which takes the filter's time and its own. */
    record OfOutput(int part, Part of, TimeRange filter) implements TimedPart {

        /** What it is told it feels at once; what it was told before it has not done yet. */
        @Override
        public void resume(Instant now) {
            now.command(part, now.value(part) == 1);
        }

        @Override
        public void feel(Instant now, boolean fed, boolean barred) {
            if (fed != now.isCommanded(part)) {
                now.command(part, fed);
                now.stop(part, Kind.MAKE);
                now.stop(part, Kind.BREAK);
                if (fed != (now.value(part) == 1)) {
                    TimeRange own = fed ? of.travel().toMake(true) : of.travel().toBreak(false);
                    TimeRange all = new TimeRange(
                            own.shortest() + filter.shortest(),
                            own.nominal() + filter.nominal(),
                            own.longest() + filter.longest());
                    now.start(part, fed ? Kind.MAKE : Kind.BREAK, all);
                }
            }
        }

        @Override
        public List<Consumer<Instant>> next(Instant before, boolean barred) {
            Kind kind = before.isCommanded(part) ? Kind.MAKE : Kind.BREAK;
            return before.runs(part, kind)
                    ? List.of(now -> {
                        now.runOut(part, kind);
                        now.move(part, kind == Kind.MAKE ? 1 : 0);
                    })
                    : List.of();
        }
    }

    /** A timer of a program, which counts from the scan that sets it going; a mark after the first comes up to a scan sooner. */
    record OfProgramTimer(int part, CircuitMachine machine, ProgrammedParts controller) implements TimedPart {

        @Override
        public void resume(Instant now) {}

        @Override
        public void feel(Instant now, boolean fed, boolean barred) {
            if (fed && !now.runs(part, Kind.STAGE)) {
                int timer = machine.programTimer(part);
                int memory = machine.memory(now.positions());
                long next = controller.toNextMark(memory, timer);
                long late = controller.isAtFirstMark(memory, timer)
                        ? 0
                        : controller.drive().scan();
                now.start(part, Kind.STAGE, new TimeRange(Math.max(0, next - late), next, next));
            } else if (!fed) {
                now.stop(part, Kind.STAGE);
            }
        }

        @Override
        public List<Consumer<Instant>> next(Instant before, boolean barred) {
            return before.runs(part, Kind.STAGE)
                    ? List.of(now -> {
                        now.runOut(part, Kind.STAGE);
                        now.move(part, 1);
                    })
                    : List.of();
        }
    }

    /** A hand that has moved something leaves it there for a while. */
    static void finger(Instant now, int part) {
        if (now.runs(part, Kind.HOLD)) {
            now.runOut(part, Kind.HOLD);
        }
        if (now.value(part) != now.restOf(part)) {
            now.start(part, Kind.HOLD, FINGER);
        }
    }

    /** A finger holds a button for 30 ms at least, and no trip is reset sooner. */
    TimeRange FINGER = new TimeRange(30_000, 200_000, Long.MAX_VALUE / 2);
}
