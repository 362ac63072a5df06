package parable.proof;

import java.util.ArrayList;
import java.util.List;
import parable.bench.Moment;
import parable.network.Supplies;
import parable.reach.Explorer;
import parable.timing.Replay;

/** What must never meet: {@code no-short}, and {@code supplies-apart} where there are several supplies. */
final class Shorts {

    static final String NO_SHORT = "no-short";
    static final String APART = "supplies-apart";

    private final Explorer explorer;
    private final Supplies supplies;

    /**
     * The claims on a machine.
     *
     * @param supplies those of its sheet
     */
    Shorts(Explorer explorer, Supplies supplies) {
        this.explorer = explorer;
        this.supplies = supplies;
    }

    List<ClaimQuestion> questions() {
        List<ClaimQuestion> questions = new ArrayList<>();
        questions.add(new ClaimQuestion(
                NO_SHORT,
                "No two points of different potential are ever joined without a load.",
                explorer.firstShort(),
                (positions, conduction, settled) -> conduction.shorted(),
                Moment::shorted,
                Replay.When.AT_ANY_INSTANT));
        if (supplies.areSeveral()) {
            questions.add(new ClaimQuestion(
                    APART,
                    "No two supplies ever have a common point but where wires bond them on purpose.",
                    explorer.first(index -> explorer.conduction(index).joined()),
                    (positions, conduction, settled) -> conduction.joined(),
                    moment -> supplies.joined(moment.solution().closed()).isPresent(),
                    Replay.When.AT_ANY_INSTANT));
        }
        return questions;
    }
}
