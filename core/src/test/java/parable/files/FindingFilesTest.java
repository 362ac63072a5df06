package parable.files;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.networknt.schema.JsonSchemaFactory;
import com.networknt.schema.SpecVersion;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.Test;
import parable.Examples;
import parable.circuit.Practice;
import parable.finding.FaultSearch;
import parable.finding.FindingException;
import parable.finding.LookNotation;
import parable.finding.Mend;
import parable.parts.Assembly;
import parable.ratings.RatingTables;

class FindingFilesTest {

    /** From the symptom to the verdict each step keeps to the schema. */
    @Test
    void jsonKeepsToItsSchemaAtEveryStep() throws IOException, FindingException {
        var schema = JsonSchemaFactory.getInstance(SpecVersion.VersionFlag.V202012)
                .getSchema(Files.newInputStream(Path.of("..", "docs", "finding.schema.json")));
        Assembly assembly = Examples.fitted(Examples.ofLibrary("Two-wire"));
        FaultSearch search = FaultSearch.of(assembly, RatingTables.of(Practice.IEC), FaultSearch.Knowledge.NONE);
        ObjectMapper mapper = new ObjectMapper();
        for (String seen : List.of(
                "close Q1, turn S5 on; K1 out, F2 healthy, protection holds",
                "close Q1, turn S5 on; volts K1:A1 to 2 = 0 V",
                "close Q1, turn S5 on; volts S5:14 to 2 = 230 V",
                "dead; wires K1 = A1 comes off")) {
            search = search.with(new LookNotation(assembly).read(seen));
            List<Mend> mends = search.next().isPresent()
                    ? List.of()
                    : search.verdict().stream()
                            .map(suspect -> Mend.of(assembly, Practice.IEC, suspect))
                            .toList();
            JsonNode told = mapper.readTree(FindingJson.of("Two-wire", search, 10, mends));
            assertThat(schema.validate(told)).as(seen).isEmpty();
            assertThat(told.at("/seen").size()).isEqualTo(search.seen().size());
            assertThat(told.has("next")).isEqualTo(mends.isEmpty());
        }
        assertThat(search.verdict().get(0).words()).isEqualTo("K1:A1 has lost its wire");
        assertThat(schema.validate(mapper.readTree("{\"sheet\": \"Two-wire\"}")))
                .isNotEmpty();
    }
}
