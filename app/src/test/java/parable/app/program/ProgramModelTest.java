package parable.app.program;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import parable.app.job.JobModel;
import parable.circuit.Extras;
import parable.circuit.Job;
import parable.circuit.Practice;
import parable.circuit.Sheet;
import parable.desk.ProgramPlace;
import parable.desk.ProgramStroke;
import parable.program.Program;
import parable.program.ProgramNetwork;
import parable.program.StructuredText;
import parable.starters.Library;

class ProgramModelTest {

    private static final String RINSER = "Bottle rinser";

    private JobModel jobs;
    private ProgramModel program;

    @BeforeEach
    void openRinser() {
        Sheet rinser = Library.jobs().get(0).sheet(RINSER).orElseThrow();
        jobs = new JobModel(new Job("Tern Hollow", Practice.IEC, List.of(rinser), Extras.NONE), Optional.empty());
        program = new ProgramModel(jobs, RINSER);
    }

    private List<ProgramNetwork> networks() {
        return program.program().orElseThrow().networks();
    }

    private static ProgramPlace network(int number) {
        return new ProgramPlace(number, ProgramPlace.NETWORK);
    }

    @Test
    void aNetworkIsChangedFromItsOwnStatement() {
        program.select(network(0));

        assertThat(program.wayProperty().get()).isEqualTo(ProgramStroke.CHANGE);
        assertThat(program.lineProperty().get())
                .isEqualTo(StructuredText.statement(networks().get(0)));
        assertThat(program.preview().program()).contains(program.program().orElseThrow());
    }

    @Test
    void whatMakesNoSenseIsSaidAndNothingIsChanged() {
        Program before = program.program().orElseThrow();
        program.select(network(0));
        program.lineProperty().set("K1 := AND;");

        assertThat(program.commit()).isFalse();
        assertThat(program.troubleProperty().get())
                .isNotBlank()
                .isEqualTo(program.preview().words());
        assertThat(program.program()).contains(before);
        program.select(network(1));
        assertThat(program.troubleProperty().get()).isEmpty();
    }

    @Test
    void aContactGoesInBeforeTheSelectedOneAndIsUndone() {
        Program before = program.program().orElseThrow();
        program.select(new ProgramPlace(0, 0));
        assertThat(program.wayProperty().get()).isEqualTo(ProgramStroke.AFTER);
        program.choose(ProgramStroke.BEFORE);
        String variable = before.variables().get(0).name();
        program.lineProperty().set(variable);

        assertThat(program.commit()).isTrue();
        assertThat(StructuredText.statement(networks().get(0))).contains(variable + " AND ");
        jobs.undo();
        assertThat(program.program()).contains(before);
    }

    @Test
    void aNewNetworkComesBelowAndIsSelected() {
        int count = networks().size();
        program.select(network(0));
        program.choose(ProgramStroke.NEW);
        String output = StructuredText.statement(networks().get(0)).split(" ")[0];
        program.lineProperty().set("spare : BOOL");
        assertThat(program.commit()).as("a declaration adds no network").isTrue();
        assertThat(networks()).hasSize(count);
        assertThat(program.selectedProperty().get()).isEqualTo(network(0));

        program.lineProperty().set("spare := " + output.replaceAll("\\(.*", ""));
        if (program.commit()) {
            assertThat(networks()).hasSize(count + 1);
            assertThat(program.selectedProperty().get()).isEqualTo(network(1));
        } else {
            assertThat(program.troubleProperty().get()).isNotBlank();
        }
    }

    @Test
    void theKeysGoThroughContactsAndNetworksAndStayInside() {
        program.select(network(0));
        program.go(0, 1);
        assertThat(program.selectedProperty().get()).isEqualTo(new ProgramPlace(0, 0));
        program.go(0, -5);
        assertThat(program.selectedProperty().get()).isEqualTo(network(0));
        program.go(0, 1_000);
        assertThat(program.selectedProperty().get().leaf()).isPositive();
        program.go(1, 0);
        assertThat(program.selectedProperty().get()).isEqualTo(network(1));
        program.go(1_000, 0);
        assertThat(program.selectedProperty().get())
                .isEqualTo(network(networks().size() - 1));
        program.go(-1_000, 0);
        assertThat(program.selectedProperty().get()).isEqualTo(network(0));
    }

    @Test
    void aNetworkIsMovedAndComesBack() {
        List<ProgramNetwork> before = networks();
        program.select(network(0));
        program.move(-1);
        assertThat(networks()).isEqualTo(before);
        program.move(1);
        assertThat(networks().get(1)).isEqualTo(before.get(0));
        assertThat(program.selectedProperty().get()).isEqualTo(network(1));
        program.move(-1);
        assertThat(networks()).isEqualTo(before);
    }

    @Test
    void aContactIsInvertedTwiceAndIsWhatItWas() {
        List<ProgramNetwork> before = networks();
        program.select(network(0));
        program.invert();
        assertThat(networks()).as("a whole network has no instruction").isEqualTo(before);
        program.select(new ProgramPlace(0, 0));
        program.invert();
        assertThat(networks()).isNotEqualTo(before);
        program.select(new ProgramPlace(0, 0));
        program.invert();
        assertThat(networks()).isEqualTo(before);
    }

    @Test
    void whatIsTakenAwayClosesTheGap() {
        int count = networks().size();
        ProgramNetwork second = networks().get(1);
        program.select(network(count - 1));
        program.take();
        if (program.troubleProperty().get().isEmpty()) {
            assertThat(networks()).hasSize(count - 1);
        }
        program.select(new ProgramPlace(1, 0));
        program.take();
        assertThat(networks().get(1)).isNotEqualTo(second);
        assertThat(program.selectedProperty().get()).isEqualTo(network(1));
    }

    @Test
    void whatIsSelectedIsSaid() {
        program.select(new ProgramPlace(1, 0));
        assertThat(program.words()).startsWith("Network 2, contact 1");
        program.select(network(99));
        assertThat(program.words()).isEqualTo("Nothing is selected");
    }

    @Test
    void withoutAProgramNothingCanBeTyped() {
        Sheet pump = Library.jobs().get(0).sheets().get(0);
        JobModel other =
                new JobModel(new Job("Tern Hollow", Practice.IEC, List.of(pump), Extras.NONE), Optional.empty());
        ProgramModel none = new ProgramModel(other, pump.name());

        assertThat(none.program()).isEmpty();
        assertThat(none.commit()).isFalse();
        assertThat(none.troubleProperty().get()).isEqualTo("The sheet has no program.");
    }
}
