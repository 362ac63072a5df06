package parable.files;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatCode;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.PrintStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.atomic.AtomicLong;
import java.util.concurrent.atomic.LongAccumulator;
import java.util.stream.Collectors;
import java.util.stream.LongStream;
import java.util.stream.Stream;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import parable.Examples;
import parable.Share;
import parable.bench.Bench;
import parable.circuit.EditException;
import parable.circuit.Job;
import parable.circuit.Practice;
import parable.circuit.RungNotation;
import parable.circuit.RungSyntaxException;
import parable.circuit.Sheet;
import parable.drafting.TypedRung;
import parable.draw.SheetDrawing;
import parable.logbook.LogEntry;
import parable.logbook.Logbook;
import parable.parts.Assembly;
import parable.program.Program;
import parable.program.ProgramException;
import parable.program.StructuredText;
import parable.program.StructuredTextException;
import parable.proof.Statement;
import parable.proof.StatementException;
import parable.scenario.Scenario;
import parable.scenario.ScenarioException;

/**
 * Whatever is read, spoilt in every way there is: each is taken, or refused in words that name the place, and nothing else ever comes of it.
 */
class SpoiltInputsTest {

    private static final long SEED = 20261129;

    @TempDir
    private Path folder;

    /** Reads a text; returns the words with which it was refused, nothing if it was taken. */
    private interface Reader {
        String read(String text) throws Exception;
    }

    /**
     * Something that can be read.
     *
     * @param sound texts of it
     * @param place what the words of a refusal have to say
     */
    private record Input(String name, List<String> sound, Reader reader, String place) {}

    private static final Sheet PUMP = Examples.washPump();
    private static final Assembly FITTED = Examples.fitted(PUMP);
    private static final RungNotation NOTATION = new RungNotation(java.util.Set.of("L", "N"));

    private static List<Input> inputs(Path folder) throws IOException {
        List<String> jobs = new ArrayList<>();
        Examples.sheets()
                .forEach(sheet -> jobs.add(JobFile.text(
                        new Job("Tern Hollow", Practice.IEC, List.of(sheet), parable.circuit.Extras.NONE))));
        List<Program> programs =
                Examples.sheets().flatMap(sheet -> sheet.program().stream()).toList();
        return List.of(
                new Input("job files", jobs, SpoiltInputsTest::job, "line \\d+"),
                new Input("scenarios", scenarios(), SpoiltInputsTest::scenario, "line \\d+"),
                new Input(
                        "programs, Structured Text",
                        programs.stream().map(StructuredText::write).toList(),
                        SpoiltInputsTest::structuredText,
                        "line \\d+, column \\d+|network \\d+|variables"),
                new Input(
                        "programs, PLCopen XML",
                        programs.stream().map(PlcOpenXml::write).toList(),
                        SpoiltInputsTest::plcOpen,
                        "line \\d+|network \\d+|variables"),
                new Input(
                        "statements and declarations",
                        List.of("K1 := S1 AND NOT S0;", "T1(IN := A OR (B AND C), PT := T#5s);", "A AT %IX0.0 : BOOL;"),
                        SpoiltInputsTest::statement,
                        "."),
                new Input("claims", Statement.examples(FITTED), SpoiltInputsTest::claim, "."),
                new Input("rungs", PUMP.rungs().map(rung -> rung.text()).toList(), SpoiltInputsTest::rung, "."),
                new Input(
                        "typed rungs",
                        List.of("S1 K1", "S0 (S1 | K1) K1 230 V AC", "L F2[95-96] S0 S1 K2 N", "S1- T1 5 s"),
                        line -> typed(line),
                        "."),
                new Input("logbooks", List.of(logbook(folder)), SpoiltInputsTest::logbook, "."));
    }

    private static List<String> scenarios() throws IOException {
        try (Stream<Path> files = Files.walk(Examples.FOLDER)) {
            List<String> scenarios = new ArrayList<>();
            for (Path file :
                    files.filter(path -> path.toString().endsWith(".scenario")).toList()) {
                scenarios.add(Files.readString(file));
            }
            return scenarios;
        }
    }

    private static String logbook(Path folder) throws IOException {
        Path file = folder.resolve("sound.logbook.jsonl");
        for (int i = 0; i < 4; i++) {
            LogbookFile.add(
                    file,
                    new Logbook.Draft(
                            "R. Alder", "Wash pump", "52a8", LogEntry.Kind.FAULT, "S1 sticks", Map.of("U1", "3 A"), 0),
                    "2026-01-01T00:00:00",
                    "");
        }
        return Files.readString(file);
    }

    /** What opens is whole: it is written and read again as it is, can be fitted out, switched on and drawn. */
    private static String job(String text) throws PartlySpoilt {
        try {
            Job job = JobFile.read(text);
            if (!JobFile.read(JobFile.text(job)).equals(job)) {
                throw new PartlySpoilt("it is read otherwise than it was written");
            }
            UnknownFields.told(job);
            for (Sheet sheet : job.sheets()) {
                Assembly assembly = Examples.fitted(sheet);
                Bench.of(assembly);
                SheetDrawing.of(assembly, job.practice());
            }
            return "";
        } catch (JobFormatException refused) {
            return refused.getMessage();
        }
    }

    /** Something that was taken is not as it should be. */
    private static final class PartlySpoilt extends Exception {
        private static final long serialVersionUID = 1L;

        PartlySpoilt(String words) {
            super(words);
        }
    }

    private static String scenario(String text) {
        try {
            Scenario.read(text, PUMP);
            return "";
        } catch (ScenarioException refused) {
            return refused.getMessage();
        }
    }

    private static String structuredText(String text) {
        try {
            StructuredText.write(StructuredText.read(text));
            return "";
        } catch (StructuredTextException | ProgramException refused) {
            return refused.getMessage();
        }
    }

    private static String plcOpen(String text) {
        try {
            PlcOpenXml.write(PlcOpenXml.read(text));
            return "";
        } catch (PlcOpenException | ProgramException refused) {
            return refused.getMessage();
        }
    }

    private static String statement(String text) {
        try {
            StructuredText.readStatement(List.of(), text);
            return "";
        } catch (StructuredTextException | ProgramException refused) {
            try {
                StructuredText.readVariable(text);
                return "";
            } catch (StructuredTextException noVariable) {
                return refused.getMessage();
            }
        }
    }

    private static String claim(String text) {
        try {
            Statement.read(text, FITTED);
            return "";
        } catch (StatementException refused) {
            return refused.getMessage();
        }
    }

    private static String rung(String text) {
        try {
            NOTATION.read(text).text();
            return "";
        } catch (RungSyntaxException refused) {
            return refused.getMessage();
        }
    }

    private static String typed(String text) {
        try {
            Sheet drawn = TypedRung.read(text, PUMP, "230 V AC").sheet();
            return drawn.name().isEmpty() ? "?" : "";
        } catch (EditException refused) {
            return refused.getMessage();
        }
    }

    /** Lines are read one by one, and spoilt ones are kept. */
    private static String logbook(String text) throws PartlySpoilt {
        Logbook read = LogbookFile.logbook(text.getBytes(StandardCharsets.UTF_8));
        String state = read.state("");
        if (state.isBlank() || !read.find("Wash pump", "s1").stream().allMatch(entry -> entry.number() >= 0)) {
            throw new PartlySpoilt(state);
        }
        read.readable("Wash pump");
        return state;
    }

    /** What came of spoilt inputs. */
    private static final class Tally {
        private final AtomicLong taken = new AtomicLong();
        private final AtomicLong refused = new AtomicLong();
        private final LongAccumulator slowest = new LongAccumulator(Math::max, 0);
    }

    /** Notes what is wrong, of the same kind of thing only the first. */
    private static void note(Map<String, String> wrong, String what, String words) {
        wrong.putIfAbsent(
                words.lines().limit(4).collect(Collectors.joining()).replaceAll("[^a-zA-Z]+", " "),
                what + ": " + words);
    }

    private static void spoil(Input input, long seed, Tally tally, Map<String, String> wrong) {
        String text = new Spoiler(seed).spoilt(input.sound());
        long begin = System.nanoTime();
        try {
            String words = input.reader().read(text);
            if (words.isEmpty()) {
                tally.taken.incrementAndGet();
            } else {
                tally.refused.incrementAndGet();
                boolean plain = words.matches("(?s).*(" + input.place() + ").*")
                        && !words.matches("(?s).*(Exception|java\\.).*")
                        && words.length() < 2_000;
                if (!plain) {
                    note(wrong, input.name() + ", " + seed, words.substring(0, Math.min(160, words.length())));
                }
            }
        } catch (Exception | StackOverflowError | OutOfMemoryError unforeseen) {
            ByteArrayOutputStream trace = new ByteArrayOutputStream();
            unforeseen.printStackTrace(new PrintStream(trace, true, StandardCharsets.UTF_8));
            note(
                    wrong,
                    input.name() + ", " + seed,
                    trace.toString(StandardCharsets.UTF_8)
                            .lines()
                            .limit(9)
                            .reduce("", (all, line) -> all + "\n" + line));
        }
        tally.slowest.accumulate((System.nanoTime() - begin) / 1_000_000);
    }

    private Map<String, Tally> spoil(int times, long seed) throws IOException {
        Map<String, String> wrong = new ConcurrentHashMap<>();
        Map<String, Tally> tallies = new LinkedHashMap<>();
        List<Input> inputs = inputs(folder);
        for (Input input : inputs) {
            Tally tally = new Tally();
            tallies.put(input.name(), tally);
            LongStream.range(0, times / inputs.size())
                    .parallel()
                    .filter(any -> wrong.size() < 20)
                    .forEach(i -> spoil(input, seed + 7_919 * i, tally, wrong));
        }
        assertThat(wrong.values()).isEmpty();
        return tallies;
    }

    @Test
    void eachOfNineThousandIsTakenOrRefusedInWords() throws IOException {
        assertThat(spoil(9_000, SEED).values())
                .allMatch(tally -> tally.refused.get() > 0)
                .anyMatch(tally -> tally.taken.get() > 0);
    }

    @Test
    @Tag("long")
    void eachOfAMillionIsTakenOrRefusedInWords() throws IOException {
        spoil(1_000_000, System.nanoTime())
                .forEach((name, tally) -> System.out.println("spoilt " + name + ": " + tally.taken + " taken, "
                        + tally.refused + " refused, the slowest after " + tally.slowest + " ms"));
    }

    /** What is nothing but large or deep: refused at once, whatever it is. */
    @Test
    void whatIsEndlessIsRefused() throws IOException {
        int part = Share.oneIn(4, 4);
        for (Input input : inputs(folder)) {
            for (String endless : List.of(
                    "(".repeat(part * 225_000),
                    "(*".repeat(part * 112_500),
                    "[".repeat(part * 225_000),
                    "{\"a\":".repeat(part * 45_000),
                    "<a>".repeat(part * 75_000),
                    "NOT ".repeat(part * 56_250),
                    "[" + "1,".repeat(part * 500_000) + "1]",
                    "K1 ".repeat(part * 75_000),
                    "\"" + "x".repeat(part * 750_000) + "\"",
                    "\n".repeat(part * 500_000))) {
                assertThatCode(() -> input.reader().read(endless))
                        .as(
                                "%s, %s\u2026",
                                input.name(), endless.substring(0, 2).strip())
                        .doesNotThrowAnyException();
            }
        }
    }
}
