package parable.app.run;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.stream.Stream;
import org.junit.jupiter.api.DynamicTest;
import org.junit.jupiter.api.TestFactory;
import parable.bench.Fault;
import parable.bench.StoryLine;
import parable.circuit.Sheet;
import parable.files.JobFile;
import parable.parts.Assembly;
import parable.parts.Part;

/** Anything a user can do to a running sheet, in any order: nothing breaks, and time and story stay in step. */
class RunModelMonkeyTest {

    private static final int TURNS = 600;

    @TestFactory
    Stream<DynamicTest> everySheetSurvives() throws Exception {
        List<Sheet> sheets = new ArrayList<>();
        for (String job : List.of("tern-hollow-press-house", "pike-landing-ice-house", "tern-hollow-bad-examples")) {
            sheets.addAll(JobFile.open(Path.of(System.getProperty("parable.examples"), job + JobFile.ENDING))
                    .sheets());
        }
        return sheets.stream().map(sheet -> DynamicTest.dynamicTest(sheet.name(), () -> play(sheet)));
    }

    private static void play(Sheet sheet) throws Exception {
        RunModel run = new RunModel(Assembly.of(sheet));
        List<Part> parts = run.assembly().parts();
        List<Handle> handles = parts.stream()
                .filter(Handle::fits)
                .map(part -> new Handle(run, part))
                .toList();
        List<Fault> faults =
                parts.stream().flatMap(part -> Fault.possibleIn(part).stream()).toList();
        Random random = new Random(sheet.name().hashCode());
        for (int turn = 0; turn < TURNS; turn++) {
            turn(run, handles.get(random.nextInt(handles.size())), faults, random);
            assertInStep(run, parts);
        }
    }

    private static void turn(RunModel run, Handle handle, List<Fault> faults, Random random) {
        switch (random.nextInt(14)) {
            case 0, 1 -> handle.grip("mouse");
            case 2, 3 -> handle.letGo("mouse");
            case 4 -> handle.toggleLatch();
            case 5 -> handle.letGoAll();
            case 6 -> run.lookAt(
                    (long) (random.nextDouble() * 1.2 * run.nowProperty().get()));
            case 7 -> run.stepBack();
            case 8 -> run.stepForward();
            case 9 -> run.backToNow();
            case 10 -> run.set(faults.get(random.nextInt(faults.size())), random.nextInt(3) == 0);
            case 11 -> run.speedProperty().set(Speed.values()[random.nextInt(Speed.values().length)]);
            default -> {
                run.setRunning(true);
                run.tick(random.nextDouble());
            }
        }
    }

    private static void assertInStep(RunModel run, List<Part> parts) {
        long now = run.nowProperty().get();
        assertThat(run.shownTimeProperty().get()).isBetween(0L, now);
        assertThat(run.noticeProperty().get()).doesNotContain("cannot");
        assertThat(run.story()).extracting(StoryLine::time).isSorted().allMatch(time -> time <= now);
        for (Part part : parts) {
            assertThat(run.shownProperty().get().condition(part.tag()).fits(part.family()))
                    .isTrue();
        }
    }
}
