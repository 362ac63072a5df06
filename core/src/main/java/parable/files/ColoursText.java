package parable.files;

import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import parable.circuit.ColourCode;
import parable.circuit.ColourUse;
import parable.circuit.Conventions;
import parable.circuit.Practice;

/** The colours of a job in its field {@code colours}: for each use that differs from the practice's the colours, the proposed one first. */
final class ColoursText {

    private static final String NONE = "none";

    private ColoursText() {}

    static void write(Conventions conventions, ObjectNode job) {
        if (conventions.isUsual()) {
            return;
        }
        ColourCode usual = ColourCode.of(conventions.practice());
        ObjectNode colours = job.putObject("colours");
        for (ColourUse use : ColourUse.values()) {
            List<String> agreed = conventions.colours().colours(use);
            if (!agreed.equals(usual.colours(use))) {
                colours.put(use.word(), agreed.isEmpty() ? NONE : String.join(" ", agreed));
            }
        }
    }

    static ColourCode read(Located job, Practice practice) throws JobFormatException {
        ColourCode code = ColourCode.of(practice);
        Optional<Located> written = job.field("colours");
        if (written.isPresent()) {
            for (Map.Entry<String, Located> one : written.get().fields()) {
                code = code.with(use(one.getKey(), written.get()), colours(one.getValue()));
            }
        }
        return code;
    }

    private static ColourUse use(String word, Located colours) throws JobFormatException {
        Optional<ColourUse> use = ColourUse.ofWord(word);
        if (use.isEmpty()) {
            throw colours.refused(
                    word,
                    "one of "
                            + Stream.of(ColourUse.values()).map(ColourUse::word).collect(Collectors.joining(", ")));
        }
        return use.get();
    }

    private static List<String> colours(Located written) throws JobFormatException {
        if (written.text().equals(NONE)) {
            return List.of();
        }
        List<String> colours = Stream.of(written.text().split(" "))
                .filter(word -> !word.isEmpty())
                .distinct()
                .toList();
        if (!ColourCode.COLOURS.containsAll(colours)) {
            throw written.refused(
                    "'none', or colours with spaces between, of " + String.join(", ", ColourCode.COLOURS));
        }
        return colours;
    }
}
