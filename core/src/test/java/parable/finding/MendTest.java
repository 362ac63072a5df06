package parable.finding;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import parable.Examples;
import parable.bench.Fault;
import parable.circuit.Practice;
import parable.circuit.Sheet;
import parable.logbook.LogEntry;
import parable.logbook.LogLine;
import parable.logbook.Logbook;
import parable.parts.Assembly;
import parable.ratings.RatingTables;
import parable.testsheet.Coverage;
import parable.testsheet.TestSheet;

class MendTest {

    private static final Assembly WASH_PUMP = Examples.fitted(Examples.ofLibrary("Wash pump"));

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "BURNT | K1 | 13-14 | Clean or exchange the contact 13-14 of the contactor K1.",
                "OFF | K1 | A1 | Put the wire back on K1 A1 and tighten it; tug those beside it.",
                "MISSET | F2 |  | Set the dial of F2 to 4.90 A.",
                "UNDERSET | F2 |  | Set the dial of F2 to 4.90 A.",
                "BLOWN | F4 |  | Find why it blew before anything else. Then exchange F4 for one of the same rating.",
                "SWAPPED | K1 | 13-14 | Put the wires of K1 13 and 14 where the drawing has them."
            })
    void whatIsNamedIsMendedAndProved(Fault.Kind kind, String tag, String place, String deed) {
        Fault fault = new Fault(kind, tag, place == null ? "" : place);
        Mend mend = Mend.of(WASH_PUMP, Practice.IEC, Suspect.of(fault));

        assertThat(mend.deeds()).containsExactly(deed);
        assertThat(mend.proof()).isNotEmpty().hasSizeLessThanOrEqualTo(3).allSatisfy(step -> {
            String with = TestSheet.found(WASH_PUMP, List.of(step), List.of(fault))
                    .get(0)
                    .text();
            String without =
                    TestSheet.found(WASH_PUMP, List.of(step), List.of()).get(0).text();
            assertThat(step.passes(with)).as(step.words()).isFalse();
            assertThat(step.passes(without)).as(step.words()).isTrue();
        });
        assertThat(mend.entry()).startsWith("Found: ").contains(fault.words()).endsWith(deed);
    }

    @Test
    void everyKindOfFaultHasAMendThatNamesItsDevice() {
        Set<Fault.Kind> seen = EnumSet.noneOf(Fault.Kind.class);
        for (Sheet sheet : List.of(
                Examples.ofLibrary("Wash pump"),
                Examples.ofLibrary("Press platen"),
                Examples.ofLibrary("Jog both ways"),
                Examples.ofLibrary("Direct change"),
                Examples.ofLibrary("Crusher"))) {
            Assembly assembly = Examples.fitted(sheet);
            for (Fault fault : Coverage.possible(assembly)) {
                if (seen.add(fault.kind())) {
                    Mend mend = Mend.of(assembly, Practice.IEC, Suspect.of(fault));
                    assertThat(mend.deeds()).as(fault.words()).hasSize(1);
                    assertThat(mend.deeds().get(0)).contains(fault.tag()).endsWith(".");
                }
            }
        }
        assertThat(seen).isEqualTo(EnumSet.allOf(Fault.Kind.class));
    }

    /** What failed before is likelier. */
    @Test
    void theRecordMakesADeviceLikelier() {
        Logbook logbook = Logbook.EMPTY;
        for (String text : List.of("F3 had blown", "F3 changed", "F30 cleaned")) {
            LogEntry entry = logbook.next(
                    new Logbook.Draft("E. Marsh", "Wash pump", "1", LogEntry.Kind.FAULT, text, Map.of(), 0),
                    "2026-11-01T08:00:00");
            logbook = logbook.with(LogLine.sealed(entry, "{}"));
        }
        Map<String, Integer> before = FaultHistory.of(logbook, "Wash pump", WASH_PUMP);

        assertThat(before).containsExactly(Map.entry("F3", 2));
        assertThat(FaultHistory.of(logbook, "Mill", WASH_PUMP)).isEmpty();
        assertThat(shareOf("F3", before)).isGreaterThan(2.5 * shareOf("F3", Map.of()));
        assertThat(shareOf("F4", before)).isLessThan(shareOf("F4", Map.of()));
    }

    private static double shareOf(String tag, Map<String, Integer> before) {
        return FaultSearch.of(WASH_PUMP, RatingTables.of(Practice.IEC), new FaultSearch.Knowledge(false, before, 0.02))
                .ranked()
                .stream()
                .filter(one -> one.suspect().faults().get(0).tag().equals(tag))
                .mapToDouble(Weighed::share)
                .sum();
    }
}
