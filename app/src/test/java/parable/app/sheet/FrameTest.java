package parable.app.sheet;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Optional;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import parable.app.desk.DeskModel;
import parable.app.job.JobModel;
import parable.app.run.RunModel;
import parable.bench.Action;
import parable.circuit.Circuit;
import parable.circuit.Place;
import parable.circuit.Practice;
import parable.desk.DeskStroke;
import parable.draw.Arrangement;
import parable.network.NodeState;
import parable.parts.Assembly;
import parable.parts.Verb;
import parable.starters.Library;

/** What is typed, as it is drawn while it is typed, and what is said of what is selected. */
class FrameTest {

    private final JobModel jobs = new JobModel(Library.jobs().get(0), Optional.empty());
    private RunModel run;
    private DeskModel desk;

    @BeforeEach
    void putOnTheBench() throws Exception {
        run = new RunModel(
                Assembly.of(jobs.jobProperty().get().sheet("Wash pump").orElseThrow()));
        desk = new DeskModel(jobs, "Wash pump", run::assembly);
        run.act(new Action(Verb.CLOSE, "Q1"));
        run.tick(0.1);
    }

    private Optional<Frame> typed(String line) {
        desk.lineProperty().set(line);
        return desk.previewProperty()
                .get()
                .assembly()
                .map(assembly -> Frame.of(assembly, run, Practice.IEC, Arrangement.BESIDE));
    }

    @Test
    void aRungIsLiveWhileItIsTypedAndTheSheetIsAsItWas() throws Exception {
        desk.select(new Place(Circuit.CONTROL, 0, 1));
        desk.choose(DeskStroke.NEW_RUNG);

        Frame draft = typed("L /S9 @90 S8 (K9) N").orElseThrow();

        assertThat(draft.moment().node("90")).contains(NodeState.LIVE);
        assertThat(draft.drawing().marks())
                .hasSizeGreaterThan(
                        typed("L (K9) N").orElseThrow().drawing().marks().size());
        assertThat(run.assembly().part("K9")).isEmpty();
        assertThat(jobs.undoableProperty().get()).isFalse();
    }

    @Test
    void itsBoxIsThatOfTheFirstRungThatChanges() throws Exception {
        desk.select(new Place(Circuit.CONTROL, 2, 1));
        desk.choose(DeskStroke.NEW_RUNG);
        Frame draft = typed("L S9 (K9) N").orElseThrow();

        assertThat(draft.firstChangeFrom(desk.sheet())).hasValueSatisfying(box -> {
            for (int item : new int[] {1, 3}) {
                assertThat(box.overlaps(draft.drawing()
                                .boxOf(new Place(Circuit.CONTROL, 3, item))
                                .orElseThrow()))
                        .isTrue();
            }
        });
        assertThat(draft.firstChangeFrom(draft.moment().assembly().sheet())).isEmpty();
    }

    @Test
    void whatMakesNoSenseIsNotDrawn() throws Exception {
        desk.choose(DeskStroke.NEW_RUNG);

        assertThat(typed("L S9 (K9")).isEmpty();
    }

    @Test
    void whatIsSelectedIsSaidWithHowItIs() throws Exception {
        Spoken spoken = new Spoken(run);
        desk.select(new Place(Circuit.CONTROL, 0, 5));
        assertThat(spoken.selected(desk.selection())).isEqualTo("Rung 1 of the ladder: S0[11-12], now closed");

        run.act(new Action(Verb.PRESS, "S0"));
        run.tick(0.1);
        assertThat(spoken.selected(desk.selection())).endsWith("S0[11-12], now open");
        run.act(new Action(Verb.RELEASE, "S0"));
        run.act(new Action(Verb.PRESS, "S1"));
        run.tick(0.1);
        desk.select(new Place(Circuit.CONTROL, 0, 11));
        assertThat(spoken.selected(desk.selection())).endsWith("K1[A1-A2], now energised");
        desk.selection().reachTo(new Place(Circuit.CONTROL, 0, 5));
        assertThat(spoken.selected(desk.selection())).doesNotContain("now");
    }
}
