package parable.cli;

import java.awt.image.BufferedImage;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayDeque;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Queue;
import java.util.Set;
import java.util.concurrent.Callable;
import java.util.function.Consumer;
import java.util.stream.Stream;
import javafx.animation.PauseTransition;
import javafx.application.Platform;
import javafx.event.ActionEvent;
import javafx.geometry.Bounds;
import javafx.scene.Node;
import javafx.scene.control.ButtonBase;
import javafx.scene.control.ComboBox;
import javafx.scene.control.ListView;
import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;
import javafx.scene.control.TableView;
import javafx.scene.control.TextField;
import javafx.scene.control.ToggleButton;
import javafx.scene.image.PixelReader;
import javafx.scene.image.WritableImage;
import javafx.util.Duration;
import javax.imageio.ImageIO;
import parable.app.MainWindow;
import parable.app.ParableApp;
import parable.app.job.JobModel;
import parable.app.run.RunModel;
import parable.bench.Action;
import parable.circuit.Circuit;
import parable.circuit.Place;
import parable.circuit.Revision;
import parable.files.JobFile;
import parable.files.LogbookFile;
import parable.logbook.LogEntry;
import parable.logbook.Logbook;
import parable.offer.Spot;
import parable.parts.Verb;
import picocli.CommandLine.Command;
import picocli.CommandLine.Option;

/** Takes a picture of each main view, made from the demo job. */
@Command(
        name = "shots",
        description = "Take the current picture of each main view at 1280x800 from the demo job.",
        mixinStandardHelpOptions = true)
final class ShotsCommand implements Callable<Integer> {

    private static final Duration TO_SETTLE = Duration.millis(400);

    @Option(names = "-o", paramLabel = "FOLDER", description = "where to put them, ${DEFAULT-VALUE} if not said")
    private Path folder = Path.of("docs", "screenshots");

    private static final String SHEET = "sheet=";

    private int taken;

    /**
     * A picture and how to get there from the view before it.
     *
     * @param name the file's name without its ending
     * @param shows the sheet, and the parts of the window by their ids, without which the picture is not what its name says
     * @param settles how long it takes until the view is as it is to be seen
     */
    private record Shot(String name, Set<String> shows, Consumer<MainWindow> before, Duration settles) {
        Shot(String name, Set<String> shows, Consumer<MainWindow> before) {
            this(name, shows, before, TO_SETTLE);
        }

        /** The parts that should be seen in the window and are not. */
        List<String> missing(MainWindow window) {
            return shows.stream()
                    .filter(shown -> shown.startsWith(SHEET)
                            ? !window.shown().equals(shown.substring(SHEET.length()))
                            : !isSeen(window.part(shown)))
                    .sorted()
                    .toList();
        }

        private static boolean isSeen(Node part) {
            if (part == null || part.getScene() == null) {
                return false;
            }
            for (Node at = part; at != null; at = at.getParent()) {
                if (!at.isVisible()) {
                    return false;
                }
            }
            Bounds bounds = part.localToScene(part.getBoundsInLocal());
            return bounds.getWidth() > 0
                    && bounds.intersects(
                            0, 0, part.getScene().getWidth(), part.getScene().getHeight());
        }
    }

    /** All pictures in their order, of a window on these jobs. */
    private static final String[][] RECORD = {
        {"2023-05-11T09:20:00", "R. Alder", "test", "Put into service, all steps pass.", "3.8 A"},
        {"2024-05-14T08:45:00", "R. Alder", "test", "Yearly test.", "3.8 A"},
        {"2025-02-03T14:10:00", "E. Marsh", "fault found", "S3 sticks in the wet. New block.", ""},
        {"2025-05-12T09:05:00", "E. Marsh", "test", "Yearly test.", "4.1 A"},
        {"2026-05-13T10:30:00", "R. Alder", "test", "Yearly test. Bearing noise, pump to be looked at.", "4.6 A"},
        {"2026-06-02T07:50:00", "R. Alder", "part changed", "Pump bearings. Current back where it was.", "3.9 A"}
    };

    private static List<Shot> shots(JobModel jobs) {
        return Stream.of(
                        trying(),
                        drawing(jobs),
                        checking(jobs),
                        sizing(),
                        controlling(),
                        atThePanel(),
                        finding(),
                        recording(jobs))
                .flatMap(List::stream)
                .toList();
    }

    /** Trying: what is operated, measured, broken. */
    private static List<Shot> trying() {
        return List.of(
                new Shot("pump-running", Set.of("sheet=Wash pump", "sheet", "actuator-S1", "story"), window -> {
                    window.run().setRunning(false);
                    act(window, Verb.CLOSE, "Q1", 0.4);
                    act(window, Verb.PRESS, "S1", 0.3);
                    act(window, Verb.RELEASE, "S1", 0.5);
                }),
                new Shot("measuring", Set.of("sheet=Wash pump", "meter-display", "probe-red"), window -> {
                    ((ToggleButton) window.part("leaf-meter")).fire();
                    ((TextField) window.part("probe-red")).setText("6");
                    ((TextField) window.part("probe-black")).setText("2");
                }));
    }

    /** Drawing, in both dresses and colours. */
    private static List<Shot> drawing(JobModel jobs) {
        return List.of(
                new Shot("drawing", Set.of("sheet=Wash pump", "line", "devices", "selected"), window -> {
                    ((TextField) window.part("probe-red")).clear();
                    ((TextField) window.part("probe-black")).clear();
                    window.run().restart();
                    start(window);
                    window.setDrawing(true);
                    ((ToggleButton) window.part("leaf-desk")).fire();
                    ((ToggleButton) window.part("stroke-new-rung")).fire();
                    ((TextField) window.part("line")).setText("@7 /K1 (P4) N ; standing still");
                }),
                new Shot("pointing", Set.of("sheet=Wash pump", "chooser", "card-title"), window -> {
                    ((TextField) window.part("line")).clear();
                    ((ToggleButton) window.part("leaf-card")).fire();
                    window.point(new Spot.InSeries(new Place(Circuit.CONTROL, 0, 7), true));
                }),
                new Shot("why", Set.of("sheet=Wash pump", "card-state", "card-way"), window -> {
                    window.setDrawing(true);
                    act(window, Verb.PRESS, "S0", 0.2);
                    act(window, Verb.RELEASE, "S0", 0.8);
                    window.why("K1");
                }),
                new Shot("north-american-dress", Set.of("sheet=Press platen", "spot-LS1", "story"), window -> {
                    window.showSheet("Press platen");
                    window.run().restart();
                    start(window);
                    window.setDrawing(false);
                    ((ToggleButton) window.part("leaf-story")).fire();
                    choose(window, "view-menu", "dress-north-american");
                }),
                new Shot(
                        "dark",
                        Set.of("sheet=Press platen", "spot-LS1", "story"),
                        window -> choose(window, "view-menu", "view-night")));
    }

    /** Checking and proving. */
    private static List<Shot> checking(JobModel jobs) {
        return List.of(
                new Shot(
                        "proved",
                        Set.of("sheet=Electrical interlock only", "proof-state", "findings"),
                        window -> {
                            choose(window, "view-menu", "view-night");
                            open(jobs, Jobs.example("tern-hollow-bad-examples"));
                            window.showSheet("Electrical interlock only");
                            ((ToggleButton) window.part("step-check")).fire();
                            window.scene().getRoot().applyCss();
                            window.scene().getRoot().layout();
                            ((TextField) window.part("own-claim")).setText("K1 and K2 are never in together");
                            ((ButtonBase) window.part("add-own-claim")).fire();
                            ((ButtonBase) window.part("prove")).fire();
                        },
                        Duration.seconds(6)),
                new Shot("all-sheets", Set.of("sheets-page", "sheet-picture-mill"), window -> {
                    open(jobs, Jobs.example("tern-hollow-press-house"));
                    window.setDrawing(false);
                    ((ButtonBase) window.part("all-sheets")).fire();
                }),
                new Shot("questions", Set.of("start-question-1", "start-draw"), window -> {
                    open(jobs, Jobs.example("tern-hollow-press-house"));
                    window.setDrawing(false);
                    ((MenuButton) window.part("sheet-menu")).getItems().get(0).fire();
                }));
    }

    /** Sizing: one motor with its curves, and the whole job. */
    private static List<Shot> sizing() {
        return List.of(
                new Shot(
                        "sizing",
                        Set.of("sheet=Mill", "sized-current", "sizing-power"),
                        window -> {
                            window.showSheet("Mill");
                            ((ToggleButton) window.part("step-size")).fire();
                            ((ToggleButton) window.part("leaf-sizing-curves")).fire();
                        },
                        Duration.seconds(8)),
                new Shot("sizing-job", Set.of("sizing-motors", "sizing-supply-power"), window -> {
                    ((ToggleButton) window.part("leaf-sizing-drawing")).fire();
                    ((ToggleButton) window.part("sizing-of-Whole-job")).fire();
                }));
    }

    /** The controller. */
    private static List<Shot> controlling() {
        return List.of(new Shot("program-running", Set.of("sheet=Bottle rinser", "program-state", "inputs"), window -> {
            window.showSheet("Bottle rinser");
            window.run().restart();
            ((ToggleButton) window.part("step-program")).fire();
            start(window);
        }));
    }

    /** The work at the panel, and one more starter. */
    private static List<Shot> atThePanel() {
        return List.of(
                new Shot(
                        "wiring",
                        Set.of("sheet=Wash pump", "panel", "wire-2-done"),
                        window -> {
                            window.showSheet("Wash pump");
                            ((ToggleButton) window.part("step-wire")).fire();
                            later(2, () -> ((TableView<?>) window.part("wires"))
                                    .getSelectionModel()
                                    .select(2));
                        },
                        Duration.seconds(4)),
                new Shot(
                        "testing",
                        Set.of("sheet=Wash pump", "test-steps", "test-verdict"),
                        window -> {
                            ((ToggleButton) window.part("step-test")).fire();
                            later(4, () -> {
                                ((TextField) window.part("test-by")).setText("R. Alder");
                                ((TableView<?>) window.part("test-steps"))
                                        .getSelectionModel()
                                        .select(40);
                                ((TextField) window.part("test-found")).setText("open");
                                ((ButtonBase) window.part("test-write")).fire();
                            });
                        },
                        Duration.seconds(9)));
    }

    /** The record of some years. */
    private static List<Shot> recording(JobModel jobs) {
        return List.of(new Shot("record", Set.of("log-entries", "log-plot"), window -> {
            open(jobs, recorded());
            ((ToggleButton) window.part("step-log")).fire();
        }));
    }

    /** Finding what is wrong, and learning to. */
    private static List<Shot> finding() {
        return List.of(
                new Shot(
                        "finding",
                        Set.of("sheet=Pomace auger", "answer-1", "next-words"),
                        window -> {
                            window.showSheet("Pomace auger");
                            ((ToggleButton) window.part("step-find")).fire();
                            later(5, () -> ((ComboBox<?>) window.part("symptom-done"))
                                    .getSelectionModel()
                                    .select(1));
                            later(8, () -> tell(window, "K1-out", "M1-stopped", "P1-dark", "F2-healthy", "Q1-closed"));
                        },
                        Duration.seconds(18)),
                new Shot(
                        "found",
                        Set.of("sheet=Pomace auger", "verdict-1"),
                        ShotsCommand::answerFirst,
                        Duration.seconds(25)),
                new Shot(
                        "learning",
                        Set.of("learn-tasks", "move-close-Q1"),
                        window -> {
                            ((ButtonBase) window.part("all-sheets")).fire();
                            later(1, () -> ((ButtonBase) window.part("sheets-learn")).fire());
                            later(2, () -> ((ListView<?>) window.part("learn-tasks"))
                                    .getSelectionModel()
                                    .select(13));
                            List<String> moves = List.of("close Q1", "press S1", "volts K1:A1 to K1:A2", "dead");
                            for (int i = 0; i < moves.size(); i++) {
                                String move = moves.get(i);
                                later(5 + i, () -> type(window, "learn-typed", move));
                            }
                        },
                        Duration.seconds(11)));
    }

    /** Tells what devices do, and that this is all. */
    private static void tell(MainWindow window, String... seen) {
        for (String one : seen) {
            ((ToggleButton) window.part("symptom-" + one)).fire();
        }
        ((ButtonBase) window.part("symptom-tell")).fire();
    }

    /** Gives the likeliest answer to each look, until it is known what it is. */
    private static void answerFirst(MainWindow window) {
        for (int second = 0; second < 22; second += 2) {
            later(second, () -> {
                if (window.part("answer-1") instanceof ButtonBase answer) {
                    answer.fire();
                }
            });
        }
    }

    private static void type(MainWindow window, String field, String words) {
        TextField typed = (TextField) window.part(field);
        typed.setText(words);
        typed.fireEvent(new ActionEvent());
    }

    private static void later(int seconds, Runnable action) {
        PauseTransition pause = new PauseTransition(Duration.seconds(seconds));
        pause.setOnFinished(event -> action.run());
        pause.play();
    }

    /** Opens another job; what was changed for the pictures before is saved aside, so that no window offers it. */
    private static void open(JobModel jobs, Path job) {
        try {
            if (jobs.unsavedProperty().get()) {
                jobs.save(Files.createTempDirectory("pictures").resolve("press-house-monday" + JobFile.ENDING));
            }
            jobs.open(job);
        } catch (IOException unwritable) {
            throw new UncheckedIOException("the job before cannot be saved aside", unwritable);
        }
    }

    /** A copy of the demo job with a record of some years beside it. */
    private static Path recorded() {
        try {
            Path copy = Files.createTempDirectory("record").resolve("press-house" + JobFile.ENDING);
            JobFile.save(Jobs.open(Jobs.demo()), copy);
            String last = "";
            for (String[] entry : RECORD) {
                last = LogbookFile.add(
                                LogbookFile.beside(copy),
                                new Logbook.Draft(
                                        entry[1],
                                        "Wash pump",
                                        Revision.of(Jobs.sheet(Jobs.open(copy), "Wash pump")),
                                        LogEntry.Kind.ofWords(entry[2]),
                                        entry[3],
                                        entry[4].isEmpty() ? Map.of() : Map.of("Current U1", entry[4]),
                                        0),
                                entry[0],
                                last)
                        .seal();
            }
            return copy;
        } catch (IOException unwritable) {
            throw new UncheckedIOException("the copy of the demo job cannot be written", unwritable);
        }
    }

    private static void choose(MainWindow window, String menu, String id) {
        ((MenuButton) window.part(menu))
                .getItems().stream().filter(item -> id.equals(item.getId())).forEach(MenuItem::fire);
    }

    private static void start(MainWindow window) {
        act(window, Verb.CLOSE, "Q1", 0.1);
        act(window, Verb.PRESS, "S1", 0.3);
        act(window, Verb.RELEASE, "S1", 0.5);
    }

    private static void act(MainWindow window, Verb verb, String tag, double thenWait) {
        window.run().act(new Action(verb, tag));
        wait(window.run(), thenWait);
    }

    private static void wait(RunModel run, double seconds) {
        run.setRunning(true);
        run.tick(seconds);
        run.setRunning(false);
    }

    /** @return 0 if every picture was taken and shows what its name says, else 1 */
    @Override
    public Integer call() throws IOException {
        System.setProperty(
                ParableApp.JOURNAL, Files.createTempDirectory("journal").toString());
        Path demo = Jobs.demo();
        JobModel jobs = new JobModel(Jobs.open(demo), Optional.of(demo));
        List<Shot> shots = shots(jobs);
        ParableApp.show(() -> jobs, window -> take(window, new ArrayDeque<>(shots)));
        return taken == shots.size() ? 0 : 1;
    }

    private void take(MainWindow window, Queue<Shot> left) {
        if (left.isEmpty()) {
            Platform.exit();
            return;
        }
        Shot shot = left.remove();
        try {
            shot.before.accept(window);
        } catch (RuntimeException impossible) {
            Platform.exit();
            throw new IllegalStateException(shot.name + ": what is to be seen cannot be brought about", impossible);
        }
        PauseTransition pause = new PauseTransition(shot.settles);
        pause.setOnFinished(event -> {
            List<String> missing = shot.missing(window);
            if (!missing.isEmpty()) {
                Platform.exit();
                throw new IllegalStateException(shot.name + ": the window does not show " + String.join(", ", missing));
            }
            write(window.scene().snapshot(null), folder.resolve(shot.name + ".png"));
            taken++;
            take(window, left);
        });
        pause.play();
    }

    private static void write(WritableImage image, Path file) {
        int width = (int) image.getWidth();
        int height = (int) image.getHeight();
        BufferedImage picture = new BufferedImage(width, height, BufferedImage.TYPE_INT_RGB);
        PixelReader pixels = image.getPixelReader();
        for (int y = 0; y < height; y++) {
            for (int x = 0; x < width; x++) {
                picture.setRGB(x, y, pixels.getArgb(x, y));
            }
        }
        try {
            Files.createDirectories(file.toAbsolutePath().getParent());
            ImageIO.write(picture, "png", file.toFile());
        } catch (IOException unwritable) {
            throw new UncheckedIOException("the picture " + file + " cannot be written", unwritable);
        }
    }
}
