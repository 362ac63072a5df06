package parable.sizing;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import org.junit.jupiter.api.Test;
import parable.Share;
import parable.circuit.Device;
import parable.circuit.Job;
import parable.circuit.Practice;
import parable.circuit.Sheet;
import parable.circuit.SizingBasis;
import parable.circuit.Stated;
import parable.parts.Assembly;
import parable.parts.PartException;
import parable.ratings.JobTables;
import parable.ratings.RatingTables;
import parable.starters.Library;

/** Whatever is stated and however a sheet is set: it is sized, or what makes no sense is said; what is taken over is no difference any more. */
class SizingFuzzTest {

    private static final List<String> VALUES = List.of(
            "",
            "0",
            "1",
            "-1",
            "7",
            "1000000",
            "25 m",
            "9000 ft",
            "0.37 kW",
            "22 kW",
            "500 kW",
            "40 hp",
            "400 V",
            "690 V",
            "24 V",
            "5 A",
            "0.1 A",
            "900 A",
            "55 °C",
            "-40 °C",
            "99 %",
            "star-delta",
            "direct",
            "jogging",
            "E",
            "30",
            "gG",
            "aM",
            "B",
            "75 °C",
            "60 s",
            "hoist",
            "dc",
            "16 mm²",
            "8 AWG",
            "much",
            "1e5 A",
            "NaN",
            "∞",
            "2 x",
            "free",
            "winding",
            "63 VA",
            "type 2");

    private static final List<String> SETTINGS = List.of(
            "",
            "0.37 kW",
            "2.2 kW",
            "22 kW",
            "500 kW",
            "4 A",
            "6 A",
            "16 A",
            "63 A",
            "400 V AC",
            "690 V AC",
            "25 VA",
            "63 VA",
            "2 s",
            "60 s",
            "0.2 s",
            "95 %",
            "20 %",
            "hoist",
            "fan",
            "B",
            "D",
            "30",
            "AC-4",
            "0.5 A");

    private static final int ROUNDS = Share.oneIn(3, 60);

    private final Random random = new Random(20);

    private <T> T one(List<T> of) {
        return of.get(random.nextInt(of.size()));
    }

    private Stated stated(List<String> tags) {
        List<String> keys = new ArrayList<>(List.of(
                "current",
                "overload",
                "contactor",
                "protection",
                "wire",
                "leads",
                "protective-conductor",
                "drop",
                "timer",
                "transformer",
                "start-current-of-the-line",
                "brake-current",
                "control-voltage",
                "nonsense"));
        for (MotorQuestion question : MotorQuestion.values()) {
            keys.add(question.key());
        }
        ControlQuestion.all().forEach(question -> keys.add(question.key()));
        BrakeQuestion.all().forEach(question -> keys.add(question.key()));
        return new Stated(one(tags), one(keys), one(VALUES));
    }

    private Sheet set(Sheet sheet) {
        Map<String, List<String>> settings = Map.of(
                "three-phase-motor", List.of("power", "current", "load", "run-up", "voltage", "drives"),
                "contactor", List.of("rated", "category"),
                "circuit-breaker", List.of("rated", "curve"),
                "overload-relay", List.of("setting", "class"),
                "control-transformer", List.of("rated"),
                "fuse", List.of("rated"),
                "timer", List.of("setting"),
                "dc-supply", List.of("rated"));
        Sheet changed = sheet;
        for (Device device : sheet.devices()) {
            List<String> of = settings.getOrDefault(device.kind(), List.of());
            for (int tries = of.isEmpty() || random.nextBoolean() ? 0 : 6; tries > 0; tries--) {
                changed = with(changed, device.with(one(of), one(SETTINGS)));
            }
        }
        return changed;
    }

    /** The sheet with a device set otherwise; itself if that cannot be fitted out. */
    private static Sheet with(Sheet sheet, Device device) {
        Sheet changed = sheet.withDevices(sheet.devices().stream()
                .map(before -> before.tag().equals(device.tag()) ? device : before)
                .toList());
        try {
            Assembly.of(changed);
            return changed;
        } catch (PartException senseless) {
            return sheet;
        }
    }

    @Test
    void whateverIsStatedAndSet() throws PartException {
        Map<String, SheetFacts> drawn = new HashMap<>();
        int differing = 0;
        int refused = 0;
        for (int i = 0; i < ROUNDS; i++) {
            Job job = one(Library.jobs().subList(0, 5));
            Practice practice = job.practice();
            Sheet sheet = set(one(job.sheets()));
            List<String> tags = sheet.devices().stream().map(Device::tag).toList();
            List<Stated> all = new ArrayList<>();
            for (int n = random.nextInt(4); n > 0; n--) {
                Stated stated = stated(tags);
                all.removeIf(before -> before.isOf(stated.about(), stated.quantity()));
                all.add(stated);
            }
            Sheet changed = sheet.withStated(all);
            SheetFacts facts = drawn.containsKey(changed.name())
                            && random.nextBoolean()
                            && drawn.get(changed.name()).assembly().sheet().isSameCircuit(changed)
                    ? drawn.get(changed.name()).on(Assembly.of(changed))
                    : SheetFacts.drawn(changed, practice, JobTables.SHIPPED);
            drawn.put(changed.name(), facts);
            SheetSizing sizing = SheetSizing.of(facts, practice, RatingTables.of(practice));

            assertThat(sizing.problems())
                    .as(all.toString())
                    .allMatch(words -> words.contains("found ") && words.contains("expected "));
            sizing.motors().forEach(motor -> motor.sizing().ifPresent(sized -> {
                assertThat(sized.results()).allMatch(result -> Double.isFinite(result.value()), all.toString());
                assertThat(SizingPlots.of(sized, java.util.Optional.empty(), java.util.Optional.empty()))
                        .isNotEmpty();
            }));
            refused += sizing.problems().size();
            differing += sizing.differences().isEmpty() ? 0 : 1;
            mends(changed, practice, sizing);
            Job stated = job.with(changed)
                    .with(new SizingBasis(
                            List.of(new Stated("", one(JobQuestion.all()).key(), one(VALUES))), List.of()));
            JobSizing whole = JobSizing.of(stated, List.of(facts), RatingTables.of(practice));
            assertThat(whole.problem().isEmpty() || whole.problem().contains("expected "))
                    .isTrue();
        }
        assertThat(differing).isGreaterThan(ROUNDS / 4);
        assertThat(refused).isGreaterThan(ROUNDS / 12);
    }

    /** Taken over twice at the most, a smaller transformer taking smaller fuses, nothing of it is left. */
    private static void mends(Sheet sheet, Practice practice, SheetSizing sizing) throws PartException {
        Sheet mended = sheet;
        SheetSizing now = sizing;
        for (int time = 0; time < 2; time++) {
            for (DrawingDifference difference : now.differences()) {
                mended = difference.takeOver().on(mended);
            }
            now = SheetSizing.of(
                    SheetFacts.drawn(mended, practice, JobTables.SHIPPED), practice, RatingTables.of(practice));
        }
        List<String> left = now.differences().stream()
                .filter(difference -> sizing.differences().stream()
                        .anyMatch(before -> before.tag().equals(difference.tag())
                                && before.what().equals(difference.what())
                                && before.sized().equals(difference.sized())))
                .map(DrawingDifference::words)
                .toList();
        assertThat(left)
                .as(sheet.name() + " " + sheet.stated() + " " + sheet.devices())
                .isEmpty();
    }
}
