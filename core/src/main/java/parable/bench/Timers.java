package parable.bench;

import java.util.List;
import parable.parts.TimerProgram;

/** The clockworks of timers: what is set going when a coil gets or loses its voltage, and what comes after. */
final class Timers {

    private final Rig rig;

    Timers(Rig rig) {
        this.rig = rig;
    }

    /** The coil got its voltage. A clockwork that has not noticed the gap goes on as if there had been none. */
    void fed(int part, RunState state, int cause) {
        state.takeBackStages(stage -> stage.part() == part && stage.released());
        if (!state.timing.get(part)) {
            state.timing.set(part);
            schedule(part, 0, false, state, cause);
        }
    }

    /** The coil lost its voltage. */
    void released(int part, RunState state, int cause) {
        schedule(part, 0, true, state, cause);
    }

    /** A clockwork came to a stage; returns the position it goes to and sets the next stage going. */
    int arrived(Pending.Stage stage, RunState state) {
        TimerProgram program = rig.program(stage.part()).orElseThrow();
        List<TimerProgram.Stage> stages = stage.released() ? program.released() : program.fed();
        boolean last = stage.stage() + 1 == stages.size();
        if (stage.released() && last) {
            state.timing.clear(stage.part());
            state.takeBackStages(other -> other.part() == stage.part());
        } else if (!last) {
            schedule(stage.part(), stage.stage() + 1, stage.released(), state, stage.cause());
        } else if (program.repeats()) {
            schedule(stage.part(), 0, false, state, stage.cause());
        }
        return stages.get(stage.stage()).position();
    }

    private void schedule(int part, int index, boolean released, RunState state, int cause) {
        TimerProgram program = rig.program(part).orElseThrow();
        List<TimerProgram.Stage> stages = released ? program.released() : program.fed();
        Pace.Change change = released ? Pace.Change.NOTICE : Pace.Change.STAGE;
        String tag = rig.parts.get(part).tag();
        long time = state.time
                + rig.pace.time(tag, change, state.time, stages.get(index).after());
        state.add(new Pending.Stage(time, part, index, released, cause));
    }
}
