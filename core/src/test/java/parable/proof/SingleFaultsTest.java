package parable.proof;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import parable.Examples;
import parable.bench.Bench;
import parable.bench.Fault;
import parable.bench.Progress;
import parable.circuit.Circuit;
import parable.circuit.Device;
import parable.circuit.Extras;
import parable.circuit.Rung;
import parable.circuit.RungNotation;
import parable.circuit.Sheet;
import parable.parts.Assembly;
import parable.scenario.Player;
import parable.scenario.ScenarioException;
import parable.timing.Refutation;

/** The answers that an experienced electrician gives about a single fault. */
class SingleFaultsTest {

    /** A contact both sides of which are on one wire is useless; a third start is not. */
    @ParameterizedTest
    @CsvSource({"'', ''", "@4 S9[13-14] @4, S9 13-14", "@6 S9[13-14] @7, ''"})
    void aContactOfWhichNothingTellsWhetherItConductsIsListed(String rung, String idle) throws Exception {
        Sheet sheet = Examples.ofLibrary("Wash pump");
        if (!rung.isEmpty()) {
            List<Device> devices = new ArrayList<>(sheet.devices());
            devices.add(new Device("S9", "", "push-button", "", "", Map.of("blocks", "13-14"), Extras.NONE));
            List<Rung> rungs = new ArrayList<>(sheet.control());
            rungs.add(new RungNotation(Set.of("L", "N")).read(rung));
            sheet = sheet.withDevices(devices).withRungs(Circuit.CONTROL, rungs);
        }
        List<FaultRow> table = SingleFaults.of(Examples.fitted(sheet), Progress.UNWATCHED);

        assertThat(String.join(", ", IdleContacts.of(Examples.fitted(sheet), table, Progress.UNWATCHED)))
                .isEqualTo(idle);
    }

    private static final Map<String, List<FaultRow>> TABLES = new ConcurrentHashMap<>();

    private static List<FaultRow> table(String sheet) {
        return TABLES.computeIfAbsent(sheet, SingleFaultsTest::tried);
    }

    private static List<FaultRow> tried(String sheet) {
        return SingleFaults.of(Examples.fitted(Examples.ofLibrary(sheet)), Progress.UNWATCHED);
    }

    @Test
    void everyRowCanBePlayed() {
        assertThat(table("Wash pump"))
                .allSatisfy(row -> assertThat(row.refutation().orElseThrow().story())
                        .as(row.fault().words())
                        .isNotEmpty());
    }

    /** Of most faults it is told from the circuits that they make what they break; a whole proof with the fault in must say the same. */
    @ParameterizedTest
    @CsvSource({"Wash pump, 9", "By controller, 24", "Press platen, 17"})
    void aRowSaysWhatAWholeProofWithTheFaultSays(String sheet, int each) throws Exception {
        Assembly assembly = Examples.fitted(Examples.ofLibrary(sheet));
        List<FaultRow> rows = table(sheet);
        for (int i = 0; i < rows.size(); i += each) {
            FaultRow row = rows.get(i);
            List<String> fails = Proof.with(
                            assembly, List.of(row.fault()), Proof.Timing.WITHIN_TIMES, Progress.UNWATCHED)
                    .claims()
                    .stream()
                    .filter(claim -> !claim.verdict().holds() && claim.verdict() != Verdict.NOT_REACHED)
                    .map(Claim::id)
                    .filter(id ->
                            id.matches("no-short|supplies-apart|never-together:.*|stops:.*|no-restart|comes-to-rest"))
                    .filter(id -> row.fault().kind() != Fault.Kind.EARTHED || !id.matches("no-short|supplies-apart"))
                    .toList();

            assertThat(row.broken().stream()
                            .filter(id -> row.fault().kind() != Fault.Kind.STUCK
                                    || !id.equals("stops:" + row.fault().tag())))
                    .as(row.fault().words())
                    .containsExactlyInAnyOrderElementsOf(fails);
        }
    }

    private static FaultRow row(String sheet, String words) {
        return table(sheet).stream()
                .filter(row -> row.fault().words().equals(words))
                .findFirst()
                .orElseThrow();
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "Pomace auger | K1 1-2 is welded closed | true | false",
                "Pomace auger | S1 13-14 is welded closed | true | false",
                "Pomace auger | S0 11-12 is welded closed | true | false",
                "Pomace auger | S4 is stuck | true | true",
                "Pomace auger | F2 95-96 is welded closed | true | true",
                "Pomace auger | S0:11 has lost its wire | false | false",
                "Pomace auger | K1 13-14 no longer conducts | false | false",
                "Pomace auger | K1 3-4 no longer conducts | false | false",
                "Pomace auger | G1 L2 gives no voltage | false | false",
                "Press platen | X1 is missing | true | true",
                "Press platen | K1 21-22 is welded closed | false | true",
                "By controller | A1 is stuck | false | false",
                "By controller | KA2 11-14 is welded closed | true | false"
            })
    void theElectriciansAnswer(String sheet, String fault, boolean dangerous, boolean hidden) {
        FaultRow row = row(sheet, fault);

        assertThat(row.isDangerous()).as(row.words()).isEqualTo(dangerous);
        assertThat(row.isHidden()).as(row.words()).isEqualTo(hidden);
    }

    @Test
    void theWorstComesFirst() {
        List<FaultRow> rows = table("Fan");

        assertThat(rows).isSortedAccordingTo((one, other) -> {
            int danger = Boolean.compare(other.isDangerous(), one.isDangerous());
            return danger != 0 ? danger : Boolean.compare(other.isHidden(), one.isHidden());
        });
        assertThat(rows).extracting(FaultRow::fault).doesNotHaveDuplicates();
    }

    @Test
    void aRowCanBeReplayedOnTheBench() throws ScenarioException {
        Refutation refutation =
                row("Press platen", "X1 is missing").refutation().orElseThrow();
        Bench bench = Bench.of(Examples.fitted(Examples.ofLibrary("Press platen")), refutation.pace());
        new Player(bench, refutation.script()).playUntil(refutation.instant());

        assertThat(bench.moment().shorted()).isTrue();
        assertThat(refutation.story().get(0)).contains("X1 is missing");
    }

    @Test
    void cancelledItsTableIsEmpty() {
        assertThat(SingleFaults.of(Examples.fitted(Examples.ofLibrary("Fan")), done -> true))
                .isEmpty();
    }
}
