package parable.check;

import java.util.List;

/** One thing that can be wrong with a circuit. */
@FunctionalInterface
interface Rule {

    /** What is found; empty if nothing is. */
    List<Finding> findings(Study study);
}
