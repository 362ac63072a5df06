package parable.desk;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import parable.circuit.Circuit;
import parable.circuit.Edit;
import parable.circuit.Job;
import parable.circuit.Place;
import parable.circuit.RungItem;
import parable.circuit.Sheet;
import parable.starters.Library;

/** What is selected, and where keys lead from it. */
class StretchTest {

    private static final Sheet PUMP = Library.jobs().get(0).sheet("Wash pump").orElseThrow();

    private static Place ladder(int rung, int item) {
        return new Place(Circuit.CONTROL, rung, item);
    }

    private static Stretch at(int rung, int item) {
        return Stretch.at(PUMP, ladder(rung, item)).orElseThrow();
    }

    @Test
    void whatIsNearestIsSelected() {
        assertThat(at(0, 2).at().item()).as("of two as near the first").isEqualTo(1);
        assertThat(at(0, 99).words(PUMP)).isEqualTo("Rung 1 of the ladder: K1[A1-A2]");
        assertThat(at(99, 1).at().rung()).isEqualTo(PUMP.control().size() - 1);
        assertThat(at(-3, 1).at().rung()).isZero();
        assertThat(Stretch.at(PUMP.withRungs(Circuit.CONTROL, List.of()), ladder(0, 1)))
                .isEmpty();
    }

    @Test
    void keysGoAlongTheRungAndNoFurther() {
        List<String> met = new ArrayList<>();
        Stretch now = at(0, 0);
        met.add(now.tag(PUMP));
        while (!now.along(PUMP, 1, false).equals(now)) {
            now = now.along(PUMP, 1, false);
            met.add(now.tag(PUMP));
        }
        assertThat(met).containsExactly("F2", "S4", "S0", "S2", "S1", "K1");
        assertThat(now.along(PUMP, -1, false).tag(PUMP)).isEqualTo("S1");
    }

    @Test
    void aStretchGrowsAndShrinksAtItsOtherEnd() {
        Stretch stretch = at(0, 5).along(PUMP, 1, true).along(PUMP, 1, true);
        assertThat(stretch.words(PUMP)).isEqualTo("Rung 1 of the ladder: S0[11-12] to S1[13-14]");
        assertThat(stretch.along(PUMP, -1, true).words(PUMP)).endsWith("S0[11-12] to S2[11-12]");
        Stretch backwards = at(0, 5).reachingTo(PUMP, ladder(0, 1)).orElseThrow();
        assertThat(backwards.first()).isEqualTo(ladder(0, 1));
        assertThat(backwards.last()).isEqualTo(5);
        assertThat(backwards.tag(PUMP)).as("where it was begun").isEqualTo("S0");
        assertThat(at(0, 5).reachingTo(PUMP, ladder(2, 1))).contains(at(2, 1));
    }

    @Test
    void aboveTheLadderIsThePowerCircuitAndEveryRungWithADeviceIsMet() {
        Stretch now = at(PUMP.control().size() - 1, 1);
        assertThat(now.across(PUMP, 1)).as("no further").contains(now);
        List<Place> met = new ArrayList<>(List.of(now.at()));
        for (Stretch next = now.across(PUMP, -1).orElseThrow();
                next.at().rung() != now.at().rung()
                        || next.at().circuit() != now.at().circuit();
                next = now.across(PUMP, -1).orElseThrow()) {
            now = next;
            met.add(now.at());
        }
        assertThat(met.stream().filter(place -> place.circuit() == Circuit.CONTROL))
                .hasSize(PUMP.control().size());
        assertThat(met.stream().filter(place -> place.circuit() == Circuit.POWER))
                .as("those of nothing but wires are left out")
                .hasSize((int) PUMP.power().stream()
                        .filter(rung -> rung.items().stream().anyMatch(RungItem.Passage.class::isInstance))
                        .count());
        assertThat(met).doesNotHaveDuplicates();
        Sheet ladderOnly = PUMP.withRungs(Circuit.POWER, List.of());
        assertThat(at(0, 1).across(ladderOnly, -1)).contains(at(0, 1));
    }

    @Test
    void theNextPlaceOfADeviceGoesRoundOnEverySheet() {
        for (Job job : Library.jobs()) {
            for (Sheet sheet : job.sheets()) {
                for (var device : sheet.devices()) {
                    Optional<Stretch> first = Stretch.ofDevice(sheet, device.tag());
                    if (first.isPresent()) {
                        List<Place> met = new ArrayList<>();
                        Stretch now = first.get();
                        do {
                            met.add(now.at());
                            assertThat(now.tag(sheet)).isEqualTo(device.tag());
                            now = now.nextOfDevice(sheet).orElseThrow();
                        } while (!now.equals(first.get()));
                        assertThat(met)
                                .as(sheet.name() + " " + device.tag())
                                .doesNotHaveDuplicates()
                                .hasSize((int) sheet.rungs()
                                        .flatMap(rung -> rung.items().stream())
                                        .filter(item -> item instanceof RungItem.Passage passage
                                                && passage.tag().equals(device.tag()))
                                        .count());
                    }
                }
            }
        }
    }

    @Test
    void itOutlivesAnEdit() throws Exception {
        Stretch coil = at(0, 11);
        Sheet shorter = DeskEdit.taken(PUMP, at(0, 5)).sheet();
        assertThat(coil.on(shorter).orElseThrow().tag(shorter)).isEqualTo("K1");
        Sheet last = new Edit.TakeRung(Circuit.CONTROL, PUMP.control().size() - 1).on(PUMP);
        assertThat(at(PUMP.control().size() - 1, 1).on(last)).isEmpty();
    }

    @Test
    void editsSelectWhatTheyMoved() throws Exception {
        DeskEdit shifted = DeskEdit.deviceMoved(PUMP, at(0, 5), 1);
        assertThat(Stretch.at(shifted.sheet(), shifted.selected()).orElseThrow().words(shifted.sheet()))
                .isEqualTo("Rung 1 of the ladder: S0[11-12]");
        DeskEdit rung = DeskEdit.rungMoved(PUMP, at(0, 5), 1);
        assertThat(rung.sheet().control().get(1)).isEqualTo(PUMP.control().get(0));
        assertThat(rung.selected()).isEqualTo(ladder(1, 5));
        DeskEdit turned = DeskEdit.inverted(PUMP, at(0, 5), "230 V AC");
        assertThat(turned.sheet().control().get(0).text()).contains("@4 S0[23-24] @5");
        DeskEdit taken =
                DeskEdit.taken(PUMP, at(0, 3).reachingTo(PUMP, ladder(0, 7)).orElseThrow());
        assertThat(taken.sheet().control().get(0).text()).startsWith("L F2[95-96] @6 S1[13-14] @7");
    }
}
