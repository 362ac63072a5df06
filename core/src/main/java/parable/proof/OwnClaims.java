package parable.proof;

import java.util.ArrayList;
import java.util.List;
import parable.parts.Assembly;
import parable.reach.CircuitMachine;
import parable.reach.Explorer;
import parable.timing.Replay;

/** {@code own:SENTENCE}: what somebody claims of the sheet in plain terms. */
final class OwnClaims implements ClaimSource {

    private final Assembly assembly;
    private final CircuitMachine machine;
    private final Explorer explorer;
    private final Deciding deciding;

    OwnClaims(Assembly assembly, CircuitMachine machine, Explorer explorer, Deciding deciding) {
        this.assembly = assembly;
        this.machine = machine;
        this.explorer = explorer;
        this.deciding = deciding;
    }

    @Override
    public List<Claim> claims() {
        List<Claim> claims = new ArrayList<>();
        for (String sentence : assembly.sheet().claims()) {
            try {
                claims.add(claim(Statement.read(sentence, assembly)));
            } catch (StatementException unreadable) {
                claims.add(Claim.open(
                        "own:" + sentence, sentence + ": this cannot be read. " + unreadable.getMessage(), List.of()));
            }
        }
        return claims;
    }

    private Claim claim(Statement statement) {
        Fact broken = statement.broken();
        boolean settled = statement.onceSettled();
        return deciding.decide(new ClaimQuestion(
                "own:" + statement.text(),
                statement.text() + ". " + statement.reading(),
                explorer.first(index -> (!settled || explorer.isSettled(index)) && isBroken(broken, index)),
                (positions, conduction, rests) -> (!settled || rests) && broken.holds(machine, positions, conduction),
                broken::shows,
                settled ? Replay.When.IN_THE_END : Replay.When.AT_ANY_INSTANT));
    }

    private boolean isBroken(Fact broken, int index) {
        long state = explorer.states().key(index);
        return broken.holds(machine, state, machine.conduction(state));
    }
}
