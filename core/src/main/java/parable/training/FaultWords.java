package parable.training;

import java.util.Arrays;
import java.util.stream.Collectors;
import parable.bench.Fault;
import parable.finding.FindingException;
import parable.parts.Assembly;
import parable.testsheet.Coverage;

/** Faults as somebody says them: {@code K1:A1 off}, {@code K1:13-14 burnt}, {@code F2 misset}. */
final class FaultWords {

    private FaultWords() {}

    static String of(Fault fault) {
        return fault.tag() + (fault.place().isEmpty() ? "" : ":" + fault.place()) + " "
                + fault.kind().word();
    }

    /** Reads one that the panel can have. */
    static Fault read(Assembly assembly, String text) throws FindingException {
        String[] words = text.strip().split("\\s+");
        String[] place = words[0].split(":", 2);
        String last = words[words.length - 1];
        Fault.Kind kind = Fault.Kind.ofWord(last)
                .filter(known -> words.length == 2)
                .orElseThrow(() -> new FindingException(
                        "what it is",
                        text,
                        "a place and what is wrong with it, such as 'K1:A1 off'; wrong may be "
                                + Arrays.stream(Fault.Kind.values())
                                        .map(Fault.Kind::word)
                                        .collect(Collectors.joining(", "))));
        Fault fault = new Fault(kind, place[0], place.length == 2 ? place[1] : "");
        if (!Coverage.possible(assembly).contains(fault)) {
            throw new FindingException(
                    "what it is",
                    text,
                    assembly.part(place[0]).isEmpty()
                            ? "a device of the sheet"
                            : "one of "
                                    + Coverage.possible(assembly).stream()
                                            .filter(one -> one.tag().equals(place[0]))
                                            .map(FaultWords::of)
                                            .collect(Collectors.joining(", ")));
        }
        return fault;
    }
}
