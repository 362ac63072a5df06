package parable.reason;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import parable.bench.Moment;
import parable.parts.Contact;
import parable.parts.ControllerField;
import parable.program.Address;
import parable.program.Logic;
import parable.program.NetworkEnd;
import parable.program.Program;
import parable.program.ProgramNetwork;
import parable.program.ProgramRun;
import parable.program.Variable;

/** Why a program switches an output on, or does not, at one instant. */
final class ProgramWhy {

    private static final int MOST_WAYS = 200;
    private static final int DEEPEST = 4;

    private final Moment moment;

    ProgramWhy(Moment moment) {
        this.moment = moment;
    }

    /** What is to be said of an output contact behind its name; empty if the sheet has no program for it. */
    Optional<String> of(Contact contact, boolean closed) {
        Optional<Program> program = moment.assembly().sheet().program();
        Optional<String> tag = ControllerField.of(moment.assembly())
                .map(field -> field.controller().tag());
        if (program.isEmpty() || tag.isEmpty()) {
            return Optional.empty();
        }
        if (moment.program().isEmpty()) {
            return Optional.of(tag.get() + " does not scan");
        }
        return ControllerField.variable(program.get(), Address.Area.OUTPUT, contact.closedIn() - 1)
                .map(Variable::name)
                .map(name -> closed
                        ? "the program tells " + name + ": " + letting(program.get(), name)
                        : "the program does not tell " + name + ": " + blocking(program.get(), name, DEEPEST));
    }

    private Optional<ProgramNetwork> network(Program program, String variable) {
        List<ProgramNetwork> writing = program.networks().stream()
                .filter(network -> network.end() instanceof NetworkEnd.Coil
                        && network.end().variable().equalsIgnoreCase(variable))
                .toList();
        return writing.isEmpty() ? Optional.empty() : Optional.of(writing.get(writing.size() - 1));
    }

    private String letting(Program program, String variable) {
        ProgramRun run = moment.program().orElseThrow();
        return network(program, variable)
                .flatMap(network -> network.logic().ways(MOST_WAYS).stream()
                        .filter(way -> way.stream().allMatch(run::passes))
                        .min(Comparator.comparingInt(List::size)))
                .map(way -> way.stream().map(this::reads).collect(Collectors.joining(", ")))
                .orElse("it was told earlier");
    }

    /** The fewest instructions that block; of a bit that another network writes those that block there. */
    private String blocking(Program program, String variable, int depth) {
        ProgramRun run = moment.program().orElseThrow();
        Optional<List<Logic>> nearest = network(program, variable)
                .flatMap(network -> network.logic().ways(MOST_WAYS).stream()
                        .map(way ->
                                way.stream().filter(leaf -> !run.passes(leaf)).toList())
                        .filter(open -> !open.isEmpty())
                        .min(Comparator.comparingInt(List::size)));
        if (nearest.isEmpty()) {
            return "it has not been scanned yet";
        }
        List<String> words = new ArrayList<>();
        for (Logic leaf : nearest.get()) {
            boolean further = depth > 0
                    && leaf instanceof Logic.LadderContact contact
                    && !contact.closed()
                    && !contact.operand().output()
                    && !contact.operand().variable().equalsIgnoreCase(variable)
                    && network(program, contact.operand().variable()).isPresent();
            words.add(
                    further
                            ? blocking(
                                    program,
                                    ((Logic.LadderContact) leaf).operand().variable(),
                                    depth - 1)
                            : reads(leaf));
        }
        return String.join(" and ", words);
    }

    private String reads(Logic leaf) {
        ProgramRun run = moment.program().orElseThrow();
        if (leaf instanceof Logic.LadderContact contact) {
            return contact.operand().text() + " reads " + (run.reads(contact.operand()) ? 1 : 0);
        }
        Logic.Elapsed elapsed = (Logic.Elapsed) leaf;
        return elapsed.timer() + " has run " + run.elapsed(elapsed.timer()) + " ms";
    }
}
