package parable.app.wiring;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import parable.app.InterfaceThread;
import parable.app.job.JobModel;
import parable.circuit.Extras;
import parable.circuit.Job;
import parable.circuit.Position;
import parable.circuit.Practice;
import parable.circuit.Sheet;
import parable.circuit.Terminal;
import parable.circuit.Tick;
import parable.circuit.WiringMethod;
import parable.starters.Library;
import parable.wiring.Landing;
import parable.wiring.Wire;

class WiringModelTest {

    private static final String PUMP = "Wash pump";

    private JobModel jobs;
    private WiringModel wiring;

    @BeforeAll
    static void start() throws Exception {
        InterfaceThread.start();
    }

    @BeforeEach
    void openPump() throws Exception {
        Sheet pump = Library.jobs().get(0).sheet(PUMP).orElseThrow();
        InterfaceThread.run(() -> {
            jobs = new JobModel(new Job("Tern Hollow", Practice.IEC, List.of(pump), Extras.NONE), Optional.empty());
            wiring = new WiringModel(jobs, PUMP);
            wiring.look();
        });
        InterfaceThread.until(() -> !wiring.wires().isEmpty());
    }

    private Sheet sheet() {
        return jobs.jobProperty().get().sheet(PUMP).orElseThrow();
    }

    @Test
    void eachWireThatIsMadeLeadsToTheNextUntilAllAre() throws Exception {
        InterfaceThread.run(() -> {
            List<Wire> all = wiring.wires();
            assertThat(wiring.wire()).contains(all.get(0));
            wiring.done();
            assertThat(wiring.wire()).contains(all.get(1));
            wiring.select(3);
            wiring.done();
            assertThat(wiring.wire()).contains(all.get(4));
            assertThat(wiring.count(Tick.DONE)).isEqualTo(2);
            for (int i = 0; i < all.size(); i++) {
                wiring.done();
            }
            assertThat(wiring.count(Tick.DONE)).isEqualTo(all.size());
            assertThat(wiring.count(Tick.TUGGED)).isZero();
        });
    }

    /** Behind the last wire it begins again at the first that is not made. */
    @Test
    void whatWasPassedOverIsComeBackTo() throws Exception {
        InterfaceThread.run(() -> {
            wiring.select(wiring.wires().size() - 1);
            wiring.done();
            assertThat(wiring.selectedProperty().get()).isZero();
        });
    }

    @Test
    void aTickIsTakenBackAndUndone() throws Exception {
        InterfaceThread.run(() -> {
            Wire wire = wiring.wires().get(2);
            wiring.tick(wire, Tick.DONE, true);
            wiring.tick(wire, Tick.CHECKED, true);
            assertThat(wiring.ticks(wire)).containsExactlyInAnyOrder(Tick.DONE, Tick.CHECKED);
            wiring.tick(wire, Tick.DONE, false);
            assertThat(wiring.ticks(wire)).containsExactly(Tick.CHECKED);
            jobs.undo();
            assertThat(wiring.ticks(wire)).contains(Tick.DONE);
        });
    }

    @Test
    void onlyTheNearestWireThereIsIsGoneTo() throws Exception {
        InterfaceThread.run(() -> {
            wiring.select(-5);
            assertThat(wiring.selectedProperty().get()).isZero();
            wiring.select(100_000);
            assertThat(wiring.wire()).contains(wiring.wires().get(wiring.wires().size() - 1));
        });
    }

    @Test
    void anotherMethodGivesOtherWires() throws Exception {
        int before = InterfaceThread.on(() -> wiring.wires().size());
        WiringMethod other = wiring.method() == WiringMethod.POINT_TO_POINT
                ? WiringMethod.TERMINAL_STRIP
                : WiringMethod.POINT_TO_POINT;
        InterfaceThread.run(() -> {
            wiring.wireBy(other);
            wiring.look();
        });
        InterfaceThread.until(() -> wiring.wires().size() != before);
        assertThat(wiring.method()).isEqualTo(other);
        InterfaceThread.run(() -> {
            Sheet chosen = sheet();
            wiring.wireBy(other);
            assertThat(sheet()).as("nothing to undo").isSameAs(chosen);
        });
    }

    @Test
    void aWireThatLandsElsewhereIsProposedAgain() throws Exception {
        InterfaceThread.run(() -> {
            for (int i = 0; i < wiring.wires().size(); i++) {
                wiring.select(i);
                Landing landing = wiring.landing().orElseThrow();
                Terminal end = wiring.wire().orElseThrow().to();
                if (!landing.insteadOf(end).isEmpty()) {
                    Sheet proposed = sheet();
                    wiring.land(landing, end, landing.insteadOf(end).get(0));
                    assertThat(sheet()).isNotEqualTo(proposed);
                    wiring.landAsProposed(landing);
                    assertThat(sheet()).isEqualTo(proposed);
                    return;
                }
            }
            throw new AssertionError("no wire can land elsewhere");
        });
    }

    @Test
    void aDeviceIsPutElsewhereAndTheStripIsNot() throws Exception {
        InterfaceThread.run(() -> {
            wiring.move("K1", new Position(300, 120));
            assertThat(sheet().device("K1").orElseThrow().at()).contains(new Position(300, 120));
            Sheet moved = sheet();
            wiring.move("K1", new Position(300, 120));
            wiring.move("X1", new Position(1, 1));
            assertThat(sheet()).isSameAs(moved);
        });
    }
}
