package parable.files;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatExceptionOfType;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.networknt.schema.JsonSchemaFactory;
import com.networknt.schema.SpecVersion;
import java.io.IOException;
import java.io.RandomAccessFile;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;
import parable.Examples;
import parable.circuit.Acceptance;
import parable.circuit.ColourCode;
import parable.circuit.ColourUse;
import parable.circuit.Conventions;
import parable.circuit.Extras;
import parable.circuit.Fieldwork;
import parable.circuit.Job;
import parable.circuit.Position;
import parable.circuit.Practice;
import parable.circuit.Reading;
import parable.circuit.Sheet;
import parable.circuit.SizingBasis;
import parable.circuit.Terminal;
import parable.circuit.Tick;
import parable.circuit.TitleBlock;
import parable.circuit.WireChoice;
import parable.circuit.WiringMethod;
import parable.drafting.Dress;
import parable.parts.Catalogue;
import parable.parts.PartKind;

class JobFileTest {

    @TempDir
    private Path folder;

    @Test
    void anExampleIsWrittenAsItWasRead() throws IOException, JobFormatException {
        for (Path example : Examples.all().toList()) {
            assertThat(JobFile.text(JobFile.open(example))).isEqualTo(Files.readString(example));
        }
    }

    @Test
    void whatIsAcceptedIsKeptAndFollowsTheTags() throws JobFormatException {
        Sheet sheet = Examples.read(Examples.pressHouseText()).sheets().get(0);
        Sheet accepted = sheet.withAccepted(List.of(
                new Acceptance("start-does-not-hold", List.of("S1", "M1"), "a test bench", "E. Marsh", "2026-11-25")));
        Job job = new Job("Kept", Practice.IEC, List.of(accepted), Extras.NONE);

        Sheet read = JobFile.read(JobFile.text(job)).sheets().get(0);
        assertThat(read).isEqualTo(accepted);
        assertThat(read.retagged(Map.of("S1", "PB2")).acceptance("start-does-not-hold", List.of("PB2", "M1")))
                .isPresent();
        assertThat(read.acceptance("start-does-not-hold", List.of("S3", "M1"))).isEmpty();
    }

    @Test
    void coloursAreKeptWhereTheyDifferFromWhatIsUsual() throws JobFormatException {
        Job usual = new Job("Kept", Practice.NORTH_AMERICAN, List.of(Examples.ofLibrary("Wash pump")), Extras.NONE);
        ColourCode whiteOnly = usual.conventions()
                .colours()
                .with(ColourUse.START, List.of("white"))
                .with(ColourUse.RUNNING, "red", false)
                .with(ColourUse.TRIPPED, List.of());
        Job agreed = usual.with(usual.conventions().with(whiteOnly));

        assertThat(JobFile.text(usual)).doesNotContain("colours");
        assertThat(JobFile.text(agreed))
                .contains("\"start\": \"white\"", "\"running lamp\": \"green white\"", "\"tripped lamp\": \"none\"");
        assertThat(JobFile.read(JobFile.text(usual))).isEqualTo(usual);
        assertThat(JobFile.read(JobFile.text(agreed))).isEqualTo(agreed);
    }

    @Test
    void theTitleBlockIsKeptInEitherPracticeAndLeftOutWhereItIsBlank() throws JobFormatException {
        Job blank = new Job("Kept", Practice.IEC, List.of(Examples.ofLibrary("Wash pump")), Extras.NONE);
        TitleBlock title = new TitleBlock("TH-12", "B", "12 March", "R. Vane", "");
        Job titled = blank.with(blank.conventions().with(title));

        assertThat(JobFile.text(blank)).doesNotContain("title-block");
        assertThat(JobFile.text(titled)).contains("\"drawn\": \"R. Vane\"").doesNotContain("checked");
        assertThat(JobFile.read(JobFile.text(titled))).isEqualTo(titled);
        assertThat(Dress.of(titled, Practice.NORTH_AMERICAN).conventions().title())
                .isEqualTo(title);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "\"title-block\": {\"author\": \"R. Vane\"}| one of drawing, revision, date, drawn, checked",
                "\"title-block\": {\"drawn\": \"a name that is far too long\"}| up to 24 letters",
                "\"title-block\": {\"revision\": 2}| a text",
                "\"colours\": {\"start\": \"pink\"}| colours with spaces between, of red",
                "\"colours\": {\"stopping\": \"red\"}| one of start, other button, stop",
                "\"colours\": \"red\"| an object in braces"
            })
    void whatIsNoneOfTheConventionsIsRefused(String field, String expected) {
        String text =
                Examples.pressHouseText().replaceFirst("\"practice\"", field.replace("\\", "") + ",\n \"practice\"");

        assertThatThrownBy(() -> JobFile.read(text))
                .isInstanceOf(JobFormatException.class)
                .hasMessageContaining(expected);
    }

    @Test
    void whatWasDoneAtThePanelIsKeptAndFollowsTheTags() throws JobFormatException {
        Sheet sheet = Examples.ofLibrary("Wash pump");
        Terminal from = new Terminal("S1", "13");
        Terminal to = new Terminal("K1", "13");
        Fieldwork work = Fieldwork.NONE
                .by(WiringMethod.TERMINAL_STRIP)
                .choosing(List.of(new WireChoice(from, to)))
                .ticked(from, to, Tick.DONE, true)
                .ticked(to, from, Tick.TUGGED, true)
                .with(new Reading(
                        "dead: press S1: Ohms from S1 13 to S1 14",
                        "0.2",
                        "new block",
                        "R. Alder",
                        "2026-11-26 10:00"));
        Sheet worked = sheet.withFieldwork(work)
                .withDevices(sheet.devices().stream()
                        .map(device -> device.tag().equals("K1") ? device.standing(new Position(120, 40)) : device)
                        .toList());
        Job job = new Job(
                "Kept", Conventions.of(Practice.IEC), List.of(worked), SizingBasis.NONE, "a".repeat(64), Extras.NONE);

        Job read = JobFile.read(JobFile.text(job));
        assertThat(read).isEqualTo(job);
        Fieldwork renamed = read.sheets().get(0).retagged(Map.of("S1", "PB2")).fieldwork();
        assertThat(renamed.choices()).containsExactly(new WireChoice(new Terminal("PB2", "13"), to));
        assertThat(renamed.ticks(to, new Terminal("PB2", "13"))).containsExactly(Tick.DONE, Tick.TUGGED);
        assertThat(renamed.reading("dead: press PB2: Ohms from PB2 13 to PB2 14"))
                .isPresent();
        assertThat(work.ticked(from, to, Tick.DONE, false)
                        .ticked(from, to, Tick.TUGGED, false)
                        .wires())
                .isEmpty();
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "\"wiring\": \"by feel\"| 'point to point' or 'terminal strip'",
                "\"wires\": [\"S1 to K1\"]| two terminals of one wire number",
                "\"wired\": [\"S1:13 K1:13 sung\"]| two terminals and what is ticked off",
                "\"tests\": [{\"found\": \"0\"}]| step"
            })
    void whatIsNoWorkAtThePanelIsRefusedWithItsLine(String field, String expected) {
        String text = Examples.pressHouseText()
                .replaceAll(",\\s*\"wiring\": \"terminal strip\"", "")
                .replace("\"name\": \"Wash pump\",", "\"name\": \"Wash pump\",\n" + field + ",");

        assertThatThrownBy(() -> JobFile.read(text))
                .isInstanceOf(JobFormatException.class)
                .hasMessageContaining("line 8")
                .hasMessageContaining(expected.strip());
    }

    @Test
    void unknownFieldsSurviveEverywhere() throws JobFormatException {
        String text = Examples.pressHouseText()
                .replace(
                        "\"practice\": \"IEC\",",
                        "\"practice\": \"IEC\",\n  \"customer\": {\"name\": \"cider\", \"no\": [1, 2]},")
                .replace("\"name\": \"Wash pump\",", "\"name\": \"Wash pump\",\n      \"floor\": 2,")
                .replace("\"tag\": \"K1\",", "\"tag\": \"K1\", \"bought\": true,");

        String written = JobFile.text(JobFile.read(text));

        ObjectMapper mapper = new ObjectMapper();
        assertThat(assertReadable(mapper, written)).isEqualTo(assertReadable(mapper, text));
    }

    /** Numbers of any size, long decimals and half characters come back in the very signs in which they were read. */
    @Test
    void unknownFieldsAreKeptToTheLastSign() throws JobFormatException {
        String odd =
                "[1e999999999, -0.10, 0.1234567890123456789012345678901234567890, \"\\ud800 \\u0041\", {\"a\" : 1 }]";
        String text = Examples.pressHouseText()
                .replace("\"practice\": \"IEC\",", "\"practice\": \"IEC\",\n  \"later\": " + odd + ",")
                .replace("\"tag\": \"K1\",", "\"tag\": \"K1\", \"later\": " + odd + ",")
                .replace("\"label\": \"Motor breaker\"", "\"label\": \"half \\udc00\"");

        Job read = JobFile.read(text);
        String written = JobFile.text(read);
        assertThat(written).contains("\"later\": " + odd, "half \\udc00");
        assertThat(JobFile.read(new String(written.getBytes(StandardCharsets.UTF_8), StandardCharsets.UTF_8)))
                .isEqualTo(read);
    }

    @Test
    void fieldsThatMeanNothingAreTold() throws JobFormatException {
        Job job = JobFile.read(Examples.pressHouseText()
                .replace("\"practice\": \"IEC\",", "\"practice\": \"IEC\",\n  \"customer\": 1,")
                .replace("\"tag\": \"F2\",", "\"tag\": \"F2\", \"seting\": \"9 A\","));

        assertThat(UnknownFields.of(job))
                .hasSizeGreaterThan(1)
                .startsWith(
                        "The job: the field \u201ccustomer\u201d is not known. It is kept, and does nothing.",
                        "Sheet Wash pump, F2: the field \u201cseting\u201d is not known. It is kept, and does nothing."
                                + " Is \u201csetting\u201d meant?");
        assertThat(UnknownFields.told(job)).last().asString().startsWith("There are ");
        assertThat(UnknownFields.of(Examples.pressHouse())).isEmpty();
    }

    @Test
    void aByteOrderMarkIsNoPartOfTheText() throws IOException, JobFormatException {
        Path file = folder.resolve("marked.parable.json");
        Files.writeString(file, "\ufeff" + Examples.pressHouseText());

        assertThat(JobFile.open(file)).isEqualTo(Examples.pressHouse());
    }

    private static Object assertReadable(ObjectMapper mapper, String json) {
        try {
            return mapper.readTree(json);
        } catch (IOException broken) {
            throw new AssertionError(broken);
        }
    }

    @Test
    void examplesKeepToThePublishedSchemaAndBrokenOnesDoNot() throws IOException {
        var schema = JsonSchemaFactory.getInstance(SpecVersion.VersionFlag.V202012)
                .getSchema(Files.newInputStream(Path.of("..", "docs", "job-file.schema.json")));
        ObjectMapper mapper = new ObjectMapper();
        for (Path example : Examples.all().toList()) {
            assertThat(schema.validate(mapper.readTree(example.toFile()))).isEmpty();
        }
        assertThat(schema.validate(mapper.readTree("{\"version\": 1, \"name\": \"x\"}")))
                .isNotEmpty();
        assertThat(schema.validate(mapper.readTree(
                        Examples.pressHouseText().replace("\"kind\": \"fuse\"", "\"kind\": \"candle\""))))
                .isNotEmpty();
    }

    @Test
    void theSchemaKnowsEveryKindAndEverySetting() throws IOException {
        JsonNode device = new ObjectMapper()
                .readTree(Path.of("..", "docs", "job-file.schema.json").toFile())
                .at("/$defs/device/properties");
        List<String> kinds = new ArrayList<>();
        device.at("/kind/enum").forEach(kind -> kinds.add(kind.textValue()));

        assertThat(kinds)
                .containsExactlyInAnyOrderElementsOf(
                        Catalogue.kinds().stream().map(PartKind::id).toList());
        assertThat(Catalogue.kinds().stream()
                        .flatMap(kind -> kind.settings().stream())
                        .distinct())
                .allMatch(device::has);
    }

    static Stream<Arguments> brokenFiles() {
        String good = Examples.pressHouseText();
        return Stream.of(
                Arguments.of("", "line 1: found an empty file, expected a job"),
                Arguments.of("   \n ", "line 1: found an empty file, expected a job"),
                Arguments.of(
                        "{\"version\": 1, \"name\": \"x\", \"sheets\": []}",
                        "line 1, sheets: found an empty list, expected at least one sheet"),
                Arguments.of(
                        "{\"version\": 1,\n",
                        "line 2: found broken JSON: the file ends before everything that was begun is closed"),
                Arguments.of(
                        good + "{}\n",
                        "line " + (good.lines().count() + 1)
                                + ": found something more at column 1, behind the closing brace, expected one object and nothing"),
                Arguments.of(
                        "[".repeat(100_000),
                        "line 1: found more than a job can hold: brackets 50 deep, expected a job"),
                Arguments.of(
                        "[" + "1,".repeat(600_000) + "1]", "line 1: found more than 500000 values, expected a job"),
                Arguments.of(
                        good.replace(
                                "\"rails\": {\"L\": \"1\", \"N\": \"2\"}", "\"rails\": {\"L\": \"1\", \"N\": \"1\"}"),
                        "line 9, sheets[0].rails.N: found '1', expected a wire number that no other rail has"),
                Arguments.of("[]", "line 1: found a list in brackets, expected an object in braces"),
                Arguments.of(
                        "\0\0\0\0",
                        "line 1: found broken JSON: Illegal character with code 0, expected well-formed JSON"),
                Arguments.of(
                        good.replace("\"power\": [", "\"power\": "),
                        "line 34: found broken JSON: Unexpected character ',': was expecting a colon"),
                Arguments.of(
                        good.replace("\"version\": 1", "\"version\": 7"),
                        "line 2, version: found 7, expected 1 or lower; the file was written by a later Parable"),
                Arguments.of(good.replace("\"version\": 1,", ""), "line 1: found no field 'version'"),
                Arguments.of(
                        good.replace("\"kind\": \"fuse\"", "\"kind\": \"candle\""),
                        "line 13, sheets[0].devices[2].kind: found 'candle', expected one of three-phase-supply, "),
                Arguments.of(
                        good.replace("\"tag\": \"S3\"", "\"tag\": \"S1\""),
                        "line 24, sheets[0].devices[13].tag: found 'S1', expected a tag that no other device"),
                Arguments.of(
                        good.replace("@6 K1[13-14] @7", "@6 K1[33-34] @7"),
                        "line 48, sheets[0].rungs[2]: found 'K1:33', expected a terminal that K1 has: 1, 2, 3, 4, 5, 6,"
                                + " 13, 14, 21, 22, A1, A2"),
                Arguments.of(
                        good.replace("@6 K1[13-14] @7", "@6 K1[13-22] @7"),
                        "line 48, sheets[0].rungs[2]: found 'K1[13-22]', expected both ends of one contact or load"),
                Arguments.of(
                        good.replace("@6 K1[13-14] @7", "@6 K9[13-14] @7"),
                        "line 48, sheets[0].rungs[2]: found 'K9', expected a device that the sheet lists"),
                Arguments.of(
                        good.replace("@6 K1[13-14] @7", "@6 K1[13-14 @7"),
                        "line 48, sheets[0].rungs[2]: found 'K1[13-14' at column 4, expected a rail (L, N), @number"),
                Arguments.of(
                        good.replace("\"coil\": \"230 V AC\"", "\"coil\": \"230 furlongs\""),
                        "line 17, sheets[0].devices[6].coil: found '230 furlongs', expected a voltage such as"),
                Arguments.of(
                        good.replace("\"maintained\"", "\"restless\""),
                        "line 8, sheets[0].duty: found 'restless', expected one of maintained, jogging"),
                Arguments.of(
                        good.replace("\"label\": \"Motor breaker\"", "\"label\": \"a\", \"label\": \"b\""),
                        "line 12: found broken JSON: Duplicate field 'label'"));
    }

    @ParameterizedTest
    @MethodSource("brokenFiles")
    void aBrokenFileIsRefusedWithOneClearMessage(String text, String message) {
        assertThatExceptionOfType(JobFormatException.class)
                .isThrownBy(() -> JobFile.read(text))
                .withMessageStartingWith(message);
    }

    @Test
    void aHugeFileIsRefusedWithoutReadingIt() throws IOException {
        Path zeros = folder.resolve("zeros.parable.json");
        try (RandomAccessFile file = new RandomAccessFile(zeros.toFile(), "rw")) {
            file.setLength(200L << 20);
        }

        assertThatThrownBy(() -> JobFile.open(zeros))
                .isInstanceOf(IOException.class)
                .hasMessageContaining("it has 200 MB, and at most 32 are read");
    }

    @Test
    void bytesThatAreNoTextAreRefused() throws IOException {
        Path file = folder.resolve("picture.parable.json");
        Files.write(file, new byte[] {(byte) 0x89, 'P', 'N', 'G', (byte) 0xff});

        assertThatExceptionOfType(JobFormatException.class)
                .isThrownBy(() -> JobFile.open(file))
                .withMessageContaining("not UTF-8");
    }

    @Test
    void savingKeepsThePreviousVersionAndLeavesNothingElse() throws IOException, JobFormatException {
        Job first = JobFile.open(Examples.PRESS_HOUSE);
        Job second = JobFile.open(Examples.LAMP_BOARD);
        Path file = folder.resolve("job.parable.json");

        JobFile.save(first, file);
        JobFile.save(second, file);

        assertThat(JobFile.open(file)).isEqualTo(second);
        assertThat(JobFile.open(folder.resolve("job.parable.json.previous"))).isEqualTo(first);
        try (Stream<Path> files = Files.list(folder)) {
            assertThat(files).hasSize(2);
        }
    }

    @Test
    void savingWhereThereIsNoFolderFailsAndSaysSo() throws IOException, JobFormatException {
        Job job = JobFile.open(Examples.PRESS_HOUSE);

        assertThatThrownBy(() -> JobFile.save(job, folder.resolve("missing").resolve("job.parable.json")))
                .isInstanceOf(IOException.class)
                .hasMessageContaining("missing");
    }
}
