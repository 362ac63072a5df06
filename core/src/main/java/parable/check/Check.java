package parable.check;

import java.util.Comparator;
import java.util.List;
import parable.parts.Assembly;

/**
 * All rules. Some read how the circuit is joined, others try the starter by hand on the bench in the usual ways, at nominal times. A
 * rule that finds nothing has not proved anything.
 */
public final class Check {

    private static final List<Rule> RULES = List.of(
            new ShortRule(),
            new InterlockRule(),
            new ReversalRule(),
            new OverloadRule(),
            new StopRule(),
            new RestartRule(),
            new StartRule(),
            new JogRule(),
            new VoltageRule(),
            new ReturnSideRule(),
            new ProtectionRule(),
            new PaperRule());

    private Check() {}

    /** Everything that the rules find on an assembled sheet, the worst first, then in the order of the rules. */
    public static List<Finding> of(Assembly assembly) {
        Study study = new Study(assembly);
        return RULES.stream()
                .flatMap(rule -> rule.findings(study).stream())
                .distinct()
                .sorted(Comparator.comparing(Finding::severity))
                .toList();
    }
}
