package parable.app.program;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import parable.app.InterfaceThread;
import parable.circuit.Practice;
import parable.circuit.Sheet;
import parable.parts.Assembly;
import parable.plc.Translation;
import parable.plc.TranslationChoices;
import parable.proof.Equivalence;
import parable.starters.Library;

class CompareModelTest {

    private final Sheet relays = Library.jobs().stream()
            .flatMap(job -> job.sheet("Two-wire").stream())
            .findFirst()
            .orElseThrow();

    private Assembly one;
    private Assembly other;
    private CompareModel model;

    @BeforeAll
    static void start() throws Exception {
        InterfaceThread.start();
    }

    @BeforeEach
    void translate() throws Exception {
        one = Assembly.of(relays);
        other = Assembly.of(
                Translation.of(one, Practice.IEC, TranslationChoices.PROPOSED).sheet());
        model = InterfaceThread.on(CompareModel::new);
    }

    @Test
    void findsWhatTheCoreFinds() throws Exception {
        InterfaceThread.run(() -> model.compare(one, other));
        InterfaceThread.until(() -> !model.comparingProperty().get());
        Equivalence found = model.foundProperty().get().orElseThrow();

        assertThat(found.verdict()).isEqualTo(Equivalence.Answer.EQUIVALENT);
        assertThat(found.states())
                .isEqualTo(Equivalence.of(one, other, pairs -> false).states());
        assertThat(model.troubleProperty().get()).isEmpty();
    }

    @Test
    void whatIsForgottenDoesNotComeBack() throws Exception {
        InterfaceThread.run(() -> {
            model.compare(one, other);
            assertThat(model.comparingProperty().get()).isTrue();
            model.forget();
        });
        InterfaceThread.run(() -> model.compare(one, one));
        InterfaceThread.until(() -> model.foundProperty().get().isPresent());

        assertThat(model.foundProperty().get().orElseThrow().states())
                .isEqualTo(Equivalence.of(one, one, pairs -> false).states());
    }

    /** Nobody waits for a comparison that will not come. */
    @Test
    void whatItStumblesOverIsSaid() throws Exception {
        InterfaceThread.run(() -> model.compare(null, other));
        InterfaceThread.until(() -> !model.comparingProperty().get());

        assertThat(model.troubleProperty().get()).contains("NullPointerException");
        assertThat(model.foundProperty().get()).isEmpty();
        InterfaceThread.run(model::forget);
        assertThat(model.troubleProperty().get()).isEmpty();
    }
}
