package parable.files;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import com.fasterxml.jackson.databind.ObjectMapper;
import com.networknt.schema.JsonSchemaFactory;
import com.networknt.schema.SpecVersion;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import parable.Examples;
import parable.circuit.Job;
import parable.circuit.Sheet;
import parable.circuit.SizingBasis;
import parable.circuit.Stated;
import parable.circuit.TableCopy;
import parable.parts.PartException;
import parable.ratings.JobTables;
import parable.ratings.RatingFormatException;
import parable.ratings.RatingTables;
import parable.sizing.JobSizing;
import parable.sizing.SheetFacts;
import parable.sizing.SizingException;
import parable.sizing.SizingLine;
import parable.starters.Library;

class SizingFilesTest {

    private static Job stated() {
        Job job = Examples.pressHouse();
        Sheet pump = job.sheet("Wash pump").orElseThrow();
        return job.with(pump.withStated(
                        List.of(new Stated("M1", "length", "25 m"), new Stated("T1", "control-length", "90 m"))))
                .with(new SizingBasis(
                        List.of(new Stated("", "supply-power", "250 kVA")),
                        List.of(new TableCopy("fuse", List.of("= fuse | Mine | own", "A", "2", "4")))));
    }

    @Test
    void whatIsStatedAndTheTablesOfAJobAreKept() throws JobFormatException, IOException {
        Job read = JobFile.read(JobFile.text(stated()));

        assertThat(read).isEqualTo(stated());
        assertThat(UnknownFields.of(read)).isEmpty();
        var schema = JsonSchemaFactory.getInstance(SpecVersion.VersionFlag.V202012)
                .getSchema(Files.newInputStream(Path.of("..", "docs", "job-file.schema.json")));
        assertThat(schema.validate(new ObjectMapper().readTree(JobFile.text(stated()))))
                .isEmpty();
    }

    @Test
    void retaggingTakesWhatIsStatedAlong() {
        Sheet pump = stated().sheet("Wash pump").orElseThrow().retagged(java.util.Map.of("M1", "M7"));
        assertThat(pump.stated()).contains(new Stated("M7", "length", "25 m"));
    }

    @Test
    void aKeyThatSaysNothingIsRefusedWithItsPlace() {
        assertThatThrownBy(() -> JobFile.read(JobFile.text(stated()).replace("M1 length", "the length of M1")))
                .isInstanceOf(JobFormatException.class)
                .hasMessageContaining("found 'the length of M1', expected a tag and a quantity, such as 'M1 length'");
    }

    @Test
    void jsonKeepsToItsSchemaForEveryJobOfTheLibraryAndForLines()
            throws IOException, PartException, SizingException, RatingFormatException {
        var schema = JsonSchemaFactory.getInstance(SpecVersion.VersionFlag.V202012)
                .getSchema(Files.newInputStream(Path.of("..", "docs", "sizing.schema.json")));
        ObjectMapper mapper = new ObjectMapper();
        for (Job job : Library.jobs()) {
            List<SheetFacts> facts = new ArrayList<>();
            for (Sheet sheet : job.sheets()) {
                facts.add(SheetFacts.drawn(sheet, job.practice(), JobTables.SHIPPED));
            }
            JobSizing sizing = JobSizing.of(job, facts, JobSizing.tables(job));
            String text = SizingJson.of(job.name(), job.practice(), sizing, sizing.sheets());
            assertThat(schema.validate(mapper.readTree(text))).as(job.name()).isEmpty();
            assertThat(SizingCsv.motors(sizing).lines())
                    .hasSize(1 + sizing.rows().size());
            assertThat(SizingCsv.results(sizing, sizing.sheets()).lines().count())
                    .isGreaterThan(12L * sizing.rows().size());
        }
        for (String line : List.of("5 hp 460 V", "2.2 kW 400 V", "brake 11.5 A 1.4 ohm", "supply 400 kVA 35 mm²")) {
            SizingLine read = SizingLine.read(line);
            String text = SizingJson.of(read.sized(RatingTables.of(read.practice())));
            assertThat(schema.validate(mapper.readTree(text))).as(line).isEmpty();
        }
        assertThat(schema.validate(mapper.readTree("{\"practice\": \"IEC\"}"))).isNotEmpty();
    }
}
