package parable.app.desk;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import parable.app.job.JobModel;
import parable.app.point.PointModel;
import parable.app.run.RunModel;
import parable.bench.Action;
import parable.card.CardEdit;
import parable.card.SettingLine;
import parable.circuit.Circuit;
import parable.circuit.Device;
import parable.circuit.EditException;
import parable.circuit.Job;
import parable.circuit.Place;
import parable.circuit.Rung;
import parable.circuit.RungItem;
import parable.circuit.Sheet;
import parable.desk.DeskStroke;
import parable.files.JobFile;
import parable.offer.Spot;
import parable.parts.Assembly;
import parable.parts.PartException;
import parable.parts.Verb;
import parable.starters.Library;
import parable.stroke.TradeStroke;

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

    private static final List<String> TYPED =
            List.of("K", "start", "stati", "second", "jog", "lamp", "nothing of that");

    @Test
    void aMonkeyAtTheDesk() throws Exception {
        play(250, 20261130);
    }

    @Test
    @Tag("long")
    void aMonkeyAtTheDeskForLong() throws Exception {
        long seed = System.nanoTime();
        for (int round = 0; round < 100; round++) {
            play(500, seed + round);
        }
    }

    private static void play(int actions, long seed) throws Exception {
        Random random = new Random(seed);
        Job first = Library.jobs().get(0);
        String name = first.sheets().get(random.nextInt(first.sheets().size())).name();
        JobModel jobs = new JobModel(first, Optional.empty());
        RunModel run = new RunModel(Assembly.of(first.sheet(name).orElseThrow()));
        DeskModel desk = new DeskModel(jobs, name, run::assembly);
        PointModel pointer = new PointModel(jobs, desk, run::assembly);
        jobs.jobProperty().addListener((any, before, now) -> {
            Sheet sheet = now.sheet(name).orElseThrow();
            if (!run.assembly().sheet().equals(sheet)) {
                run.goOnWith(fitted(sheet));
            }
        });
        List<Job> seen = new ArrayList<>();
        Job kept = first;
        for (int i = 0; i < actions; i++) {
            if (random.nextInt(3) == 0) {
                act(random, desk, run);
            } else {
                new Pointing(random, jobs, desk, pointer, run).act();
            }
            Job now = jobs.jobProperty().get();
            if (now != kept) {
                kept = now;
                seen.add(now);
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

    private static Assembly fitted(Sheet sheet) {
        try {
            return Assembly.of(sheet);
        } catch (PartException impossible) {
            throw new IllegalStateException("an edit left a sheet that cannot be fitted out", impossible);
        }
    }

    /** What is done by pointing: at places, in the chooser, on cards, whole steps of the trade. */
    private record Pointing(Random random, JobModel jobs, DeskModel desk, PointModel pointer, RunModel run) {

        private Sheet sheet() {
            return desk.sheet();
        }

        void act() {
            switch (random.nextInt(9)) {
                case 0, 1, 2 -> spot().ifPresent(pointer::point);
                case 3 -> pointer.choose(random.nextInt(12));
                case 4 -> pointer.typedProperty().set(TYPED.get(random.nextInt(TYPED.size())));
                case 5, 6 -> pointer.take();
                case 7 -> pointer.leave();
                default -> card();
            }
        }

        private Optional<Spot> spot() {
            Circuit circuit = random.nextInt(3) == 0 ? Circuit.POWER : Circuit.CONTROL;
            List<Rung> rungs = sheet().rungs(circuit);
            int rung = random.nextInt(rungs.size() + 1);
            List<Place> passages = new ArrayList<>();
            for (int item = 0;
                    rung < rungs.size() && item < rungs.get(rung).items().size();
                    item++) {
                if (rungs.get(rung).items().get(item) instanceof RungItem.Passage) {
                    passages.add(new Place(circuit, rung, item));
                }
            }
            if (passages.isEmpty()) {
                return Optional.of(
                        new Spot.NewRung(Math.min(rung, sheet().control().size())));
            }
            Place at = passages.get(random.nextInt(passages.size()));
            return Optional.of(
                    switch (random.nextInt(5)) {
                        case 0 -> new Spot.InSeries(at, random.nextBoolean());
                        case 1 -> new Spot.Around(
                                at, passages.get(passages.size() - 1).item());
                        case 2 -> new Spot.ToReturn(at);
                        case 3 -> new Spot.Exchange(at);
                        default -> new Spot.NewRung(
                                Math.min(rung, sheet().control().size()));
                    });
        }

        private void card() {
            List<Device> devices = sheet().devices();
            if (devices.isEmpty()) {
                return;
            }
            Device device = devices.get(random.nextInt(devices.size()));
            try {
                switch (random.nextInt(4)) {
                    case 0 -> jobs.edit(CardEdit.put(sheet(), device.labelled("Name " + random.nextInt(9))));
                    case 1 -> {
                        for (SettingLine line : SettingLine.of(device)) {
                            String typed = random.nextBoolean() ? line.form().byDefault() : "nonsense";
                            jobs.edit(CardEdit.put(
                                    sheet(), device.with(line.form().name(), line.completed(typed))));
                        }
                    }
                    case 2 -> jobs.edit(CardEdit.renamed(sheet(), device.tag(), device.tag() + random.nextInt(9)));
                    default -> {
                        TradeStroke[] strokes = TradeStroke.values();
                        jobs.edit(strokes[random.nextInt(strokes.length)].on(
                                run.assembly(),
                                device.tag(),
                                jobs.jobProperty().get().conventions()));
                    }
                }
            } catch (EditException | PartException refused) {
                assertThat(refused.getMessage()).isNotBlank();
            }
        }
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
