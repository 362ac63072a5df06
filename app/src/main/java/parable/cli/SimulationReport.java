package parable.cli;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.UncheckedIOException;
import java.util.List;
import parable.bench.StoryLine;
import parable.scenario.Outcome;

/**
 * A simulation as JSON: {@code {"story":[{"ms":…,"text":…}],"expectations":[{"line":…,"text":…,"met":…}]}}.
 *
 * @param story what happened
 * @param outcomes what was expected and whether it was met
 */
record SimulationReport(List<StoryLine> story, List<Outcome> outcomes) {

    String json() {
        ObjectNode report = JsonNodeFactory.instance.objectNode();
        ArrayNode lines = report.putArray("story");
        for (StoryLine line : story) {
            ObjectNode node = lines.addObject();
            if (line.time() % 1000 == 0) {
                node.put("ms", line.time() / 1000);
            } else {
                node.put("ms", line.time() / 1000.0);
            }
            node.put("text", line.text());
        }
        ArrayNode expectations = report.putArray("expectations");
        for (Outcome outcome : outcomes) {
            ObjectNode node = expectations.addObject();
            node.put("line", outcome.step().line());
            node.put("text", outcome.step().expectation().text());
            node.put("met", outcome.met());
            outcome.foundInstead().ifPresent(found -> node.put("found", found));
        }
        try {
            return new ObjectMapper().writerWithDefaultPrettyPrinter().writeValueAsString(report);
        } catch (JsonProcessingException impossible) {
            throw new UncheckedIOException("a tree in memory could not be written", impossible);
        }
    }
}
