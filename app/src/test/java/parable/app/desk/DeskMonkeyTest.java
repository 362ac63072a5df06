package parable.app.desk;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import parable.app.job.JobModel;
import parable.app.run.RunModel;
import parable.bench.Action;
import parable.circuit.Circuit;
import parable.circuit.Job;
import parable.circuit.Place;
import parable.desk.DeskStroke;
import parable.files.JobFile;
import parable.parts.Assembly;
import parable.parts.Verb;
import parable.starters.Library;

/** Draws, takes away, undoes and operates at random: nothing breaks, every state can be saved, and undo leads all the way back. */
class DeskMonkeyTest {

    private static final List<String> DEVICES = List.of(
            "S1", "/S1", "K1", "/K1", "(K1)", "S7", "/S9", "(P8)", "KT", "/KA", "(KA)", "F2", "/F2", "X[1-2]", "(");
    private static final List<String> RUNGS = List.of(
            "L S1 (K1) N",
            "L /S0 @ K2 (P1) N",
            "@5 K1 @6",
            "L K3:timer (P2) N",
            "L",
            "@3 @4",
            "N /K1 L",
            "renumber",
            "renumber by rung",
            "find K1",
            "find 5",
            "rename K1 K5",
            "rename K5 K1",
            "wire 5 50");

    @Test
    void aMonkeyAtTheDesk() throws Exception {
        play(600, 20261125);
    }

    @Test
    @Tag("long")
    void aMonkeyAtTheDeskForLong() throws Exception {
        play(20_000, System.nanoTime());
    }

    private static void play(int actions, long seed) throws Exception {
        Random random = new Random(seed);
        Job first = Library.jobs().get(0);
        String name = first.sheets().get(random.nextInt(first.sheets().size())).name();
        JobModel jobs = new JobModel(first, Optional.empty());
        RunModel run = new RunModel(Assembly.of(first.sheet(name).orElseThrow()));
        DeskModel desk = new DeskModel(jobs, name, run::assembly);
        List<Job> seen = new ArrayList<>();
        Job kept = first;
        for (int i = 0; i < actions; i++) {
            act(random, desk, run);
            if (!run.assembly().sheet().equals(desk.sheet())) {
                run.goOnWith(Assembly.of(desk.sheet()));
                seen.add(jobs.jobProperty().get());
            }
            Job now = jobs.jobProperty().get();
            if (now != kept) {
                kept = now;
                assertThat(JobFile.read(JobFile.text(now)))
                        .as("seed %s, action %s", seed, i)
                        .isEqualTo(now);
            }
        }
        assertThat(seen).isNotEmpty();
        while (jobs.undoableProperty().get()) {
            jobs.undo();
        }
        assertThat(jobs.jobProperty().get()).as("seed %s", seed).isEqualTo(first);
    }

    private static void act(Random random, DeskModel desk, RunModel run) {
        switch (random.nextInt(14)) {
            case 0 -> desk.undo();
            case 1 -> desk.redo();
            case 2 -> desk.take();
            case 3 -> desk.selection().along(random.nextBoolean() ? 1 : -1, random.nextBoolean());
            case 4 -> desk.selection().across(random.nextBoolean() ? 1 : -1);
            case 5 -> desk.select(new Place(Circuit.values()[random.nextInt(2)], random.nextInt(9), random.nextInt(9)));
            case 6 -> desk.invert();
            case 7 -> desk.moveRung(random.nextBoolean() ? 1 : -1);
            case 8 -> desk.moveDevice(random.nextBoolean() ? 1 : -1);
            case 9 -> {
                desk.copyRung();
                desk.commit();
            }
            case 10 -> {
                run.act(new Action(random.nextBoolean() ? Verb.PRESS : Verb.RELEASE, "S1"));
                run.tick(0.05);
            }
            default -> {
                DeskStroke stroke = DeskStroke.values()[random.nextInt(DeskStroke.values().length)];
                desk.choose(stroke);
                List<String> words = stroke.takesRung() ? RUNGS : DEVICES;
                desk.lineProperty().set(words.get(random.nextInt(words.size())));
                desk.commit();
            }
        }
    }
}
