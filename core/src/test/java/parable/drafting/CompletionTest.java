package parable.drafting;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.tuple;

import org.junit.jupiter.api.Test;
import parable.Examples;
import parable.circuit.Circuit;
import parable.circuit.Edit;
import parable.circuit.EditException;
import parable.circuit.Place;
import parable.circuit.Rung;
import parable.circuit.Sheet;

/** What the desk offers while one types, and what it makes of a selected contact or rung. */
class CompletionTest {

    private final Sheet pump = Examples.washPump();

    @Test
    void tagsAreOfferedWithTheContactTheyWouldGet() {
        assertThat(Completion.of(pump, "L K"))
                .extracting(Completion::word, Completion::words)
                .containsExactly(tuple("K1", "33-34 open at rest, a further block"));
        assertThat(Completion.of(pump, "L /S0 @5 (K"))
                .extracting(Completion::word)
                .containsExactly("(K1)");
        assertThat(Completion.of(pump, "L /s")).extracting(Completion::word).contains("/S4", "/S0");
    }

    @Test
    void pointsAndRailsAreOfferedAndAFullTagHasAllItsContacts() {
        assertThat(Completion.of(pump, "@")).extracting(Completion::word).contains("@3", "@4", "@5");
        assertThat(Completion.of(pump, "L")).isEmpty();
        assertThat(Completion.of(pump, "")).isEmpty();
        assertThat(Completion.of(pump, "L K1 ; k")).isEmpty();
        assertThat(Completion.of(pump, "K1[1")).extracting(Completion::word).containsExactly("K1[1-2]", "K1[13-14]");
        assertThat(Completion.of(pump, "K1[13")).extracting(Completion::words).containsExactly("open at rest, in use");
    }

    /** Every offered word, put into a rung, is understood. */
    @Test
    void whateverIsOfferedCanBeTyped() throws EditException {
        for (String begun : new String[] {"K", "/K", "(", "S", "/S", "F", "/F", "P", "Q"}) {
            for (Completion completion : Completion.of(pump, begun)) {
                assertThat(TypedRung.read("L " + completion.word() + " N", pump, "230 V AC")
                                .rung()
                                .items())
                        .hasSize(3);
            }
        }
    }

    @Test
    void aContactIsInvertedWithTheLowestFreeOneOfItsDevice() throws EditException {
        Place seal = placeOf(pump, "K1[13-14]");
        Sheet inverted = Inversion.at(pump, seal, "230 V AC");
        assertThat(inverted.control().get(seal.rung()).text())
                .doesNotContain("K1[13-14]")
                .contains("K1[");
        Sheet back = Inversion.at(inverted, seal, "230 V AC");
        assertThat(back.control()).isEqualTo(pump.control());
    }

    private static Place placeOf(Sheet sheet, String text) {
        for (int rung = 0; rung < sheet.control().size(); rung++) {
            Rung of = sheet.control().get(rung);
            for (int item = 0; item < of.items().size(); item++) {
                if (of.items().get(item).text().equals(text)) {
                    return new Place(Circuit.CONTROL, rung, item);
                }
            }
        }
        throw new AssertionError(text);
    }

    /** The words for a rung, typed again, give a rung with the same devices in the same order. */
    @Test
    void theShorthandOfARungMakesOneLikeIt() throws EditException {
        for (int rung = 0; rung < pump.control().size(); rung++) {
            Rung first = pump.control().get(rung);
            String words = Shorthand.of(first, Examples.fitted(pump));
            Sheet without = new Edit.TakeRung(Circuit.CONTROL, rung).on(pump);
            Rung again = TypedRung.read(words, without, "230 V AC").rung();
            assertThat(again.terminals().map(terminal -> terminal.tag()).toList())
                    .as(words)
                    .isEqualTo(first.terminals().map(terminal -> terminal.tag()).toList());
        }
    }
}
