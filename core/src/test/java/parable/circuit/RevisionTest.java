package parable.circuit;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.UnaryOperator;
import java.util.stream.Stream;
import org.junit.jupiter.api.Named;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import parable.Examples;
import parable.starters.Library;

/** What makes another circuit of a sheet, and what does not. */
class RevisionTest {

    private static final Sheet PUMP = Examples.washPump();

    private static Named<UnaryOperator<Sheet>> change(String name, UnaryOperator<Sheet> change) {
        return Named.of(name, change);
    }

    private static UnaryOperator<Sheet> device(String tag, UnaryOperator<Device> change) {
        return sheet -> sheet.withDevices(sheet.devices().stream()
                .map(one -> one.tag().equals(tag) ? change.apply(one) : one)
                .toList());
    }

    private static List<Rung> remarked(List<Rung> rungs) {
        return rungs.stream().map(rung -> new Rung(rung.items(), "A remark.")).toList();
    }

    static Stream<Named<UnaryOperator<Sheet>>> ofNoAccount() {
        return Stream.of(
                change("name", sheet -> sheet.named("Another name")),
                change("label", device("S1", one -> one.labelled("Go"))),
                change("place", device("S1", one -> one.placed("loft"))),
                change("position", device("K1", one -> one.standing(new Position(3, 4)))),
                change("remark", sheet -> sheet.withRungs(Circuit.CONTROL, remarked(sheet.control()))),
                change("claim", sheet -> sheet.withClaims(List.of("K1 never in"))),
                change(
                        "tick",
                        sheet -> sheet.withFieldwork(Fieldwork.NONE.ticked(
                                new Terminal("S1", "13"), new Terminal("K1", "A1"), Tick.DONE, true))),
                change(
                        "acceptance",
                        sheet -> sheet.withAccepted(
                                List.of(new Acceptance("lamp", List.of("P1"), "Seen.", "E. Marsh", "2026-11-26")))));
    }

    static Stream<Named<UnaryOperator<Sheet>>> ofAccount() {
        return Stream.of(
                change("setting", device("F2", one -> one.with("setting", "5.5 A"))),
                change("a further setting", device("K1", one -> one.with("suppressor", "RC"))),
                change(
                        "rail",
                        sheet -> sheet.withRails(sheet.rails().stream()
                                .map(rail -> rail.name().equals("L") ? new Rail("L", "101") : rail)
                                .toList())),
                change("tag", sheet -> sheet.retagged(java.util.Map.of("K1", "K9"))),
                change(
                        "fewer rungs",
                        sheet -> sheet.withRungs(
                                Circuit.CONTROL,
                                sheet.control().subList(0, sheet.control().size() - 1))),
                change("order of rungs", sheet -> sheet.withRungs(Circuit.CONTROL, turned(sheet.control()))),
                change(
                        "fewer power rungs",
                        sheet -> sheet.withRungs(
                                Circuit.POWER,
                                sheet.power().subList(0, sheet.power().size() - 1))));
    }

    private static List<Rung> turned(List<Rung> rungs) {
        List<Rung> turned = new ArrayList<>(rungs);
        java.util.Collections.reverse(turned);
        return turned;
    }

    @ParameterizedTest
    @MethodSource("ofNoAccount")
    void whatDecidesNothingLeavesItTheSame(UnaryOperator<Sheet> change) {
        Sheet changed = change.apply(PUMP);

        assertThat(changed).isNotEqualTo(PUMP);
        assertThat(Revision.of(changed)).isEqualTo(Revision.of(PUMP));
    }

    @ParameterizedTest
    @MethodSource("ofAccount")
    void whatDecidesSomethingMakesItAnother(UnaryOperator<Sheet> change) {
        assertThat(Revision.of(change.apply(PUMP))).isNotEqualTo(Revision.of(PUMP));
    }

    @Test
    void aProgramIsPartOfTheCircuit() {
        Sheet rinser = Examples.ofLibrary("Bottle rinser");

        assertThat(Revision.of(rinser.withProgram(Optional.empty()))).isNotEqualTo(Revision.of(rinser));
    }

    @Test
    void everySheetOfTheLibraryHasOneOfItsOwn() {
        Set<String> seen = new HashSet<>();
        Library.jobs().stream().flatMap(job -> job.sheets().stream()).forEach(sheet -> {
            assertThat(Revision.of(sheet)).matches("[0-9a-f]{12}");
            assertThat(seen.add(Revision.of(sheet)) || sheet.control().isEmpty())
                    .as(sheet.name())
                    .isTrue();
        });
    }
}
