package parable.proof;

import java.util.List;

/** Something that raises claims of one kind. */
@FunctionalInterface
interface ClaimSource {

    /** The claims that the circuit raises, with their verdicts. */
    List<Claim> claims();
}
