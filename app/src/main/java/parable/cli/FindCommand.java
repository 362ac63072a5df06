package parable.cli;

import java.io.IOException;
import java.io.PrintWriter;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.Callable;
import parable.circuit.Job;
import parable.circuit.Sheet;
import parable.files.FileFailure;
import parable.files.FindingJson;
import parable.files.LogbookFile;
import parable.finding.FaultHistory;
import parable.finding.FaultSearch;
import parable.finding.FindingException;
import parable.finding.LookNotation;
import parable.finding.Mend;
import parable.finding.Proposal;
import parable.finding.Weighed;
import parable.parts.Assembly;
import parable.ratings.RatingFormatException;
import parable.ratings.RatingTables;
import parable.sizing.JobSizing;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;

/** Finds a fault at a panel: what may be wrong after what was seen, and where to look next. */
@Command(
        name = "find",
        description = {
            "Find a fault: tell what was done and what was seen; get what may be wrong, how likely each is, and the next best look.",
            "Exit code 0; 1 if nothing fits all that was seen; 2 if something makes no sense."
        },
        footer = {
            "",
            "A symptom: what was done, a semicolon, what the devices do:",
            "        --symptom \"close Q1, press S1; K1 out, P2 lit, protection holds\"",
            "        --symptom \"close Q1, press S1, release S1, wait; F2 tripped\"   (it ran for some minutes)",
            "A reading: what was done, a semicolon, what was measured, and what was found:",
            "        --reading \"close Q1, press S1; volts S1:13 to 2 = 230 V\"   (volts dc for DC)",
            "        --reading \"close Q1, press S1, release S1; clamp F2:2 = 4.9 A\"",
            "        --reading \"dead; ohms K1:A1 to K1:A2 = open\", \"dead, press S1; ohms S1:13 to S1:14 = 0 ohm\"",
            "        --reading \"dead; dial F2 = 4.9 A\", \"dead; wires K1 = all hold, as listed\"",
            "Who sits before the panel copies the next look with what is found there as one more --reading."
        },
        mixinStandardHelpOptions = true)
final class FindCommand implements Callable<Integer> {

    private static final int FIRST = 10;
    private static final int MOST_SHOWN = 8;
    private static final double SHOWN_FROM = 0.001;

    @Parameters(paramLabel = "FILE", description = "the job file")
    private Path file;

    @Option(
            names = "--sheet",
            paramLabel = "NAME",
            description = "the machine; need not be said where there is only one")
    private String sheet = "";

    @Option(
            names = "--symptom",
            paramLabel = "WORDS",
            required = true,
            description = "what was done and what the devices did; more than one if more is known")
    private List<String> symptoms = List.of();

    @Option(names = "--reading", paramLabel = "WORDS", description = "what was measured or looked at since, in order")
    private List<String> readings = List.of();

    @Option(names = "--new-panel", description = "nobody has run it yet: it may be wired wrong")
    private boolean newPanel;

    @Option(
            names = "--doubt",
            paramLabel = "SHARE",
            description = "the share of readings that may be wrong, such as 0.1; 0.02 unless said")
    private double doubt = FaultSearch.USUAL_DOUBT;

    @Option(names = "--two", description = "two faults at once are suspected too; it takes longer")
    private boolean two;

    @Option(names = "--all", description = "tell all suspects that fit, not the likeliest ten alone")
    private boolean all;

    @Option(names = "--json", description = "print all of it as JSON")
    private boolean json;

    @Spec
    private CommandSpec spec;

    @Override
    public Integer call() {
        if (!(doubt > 0 && doubt < 0.5)) {
            throw new UsersFaultException("--doubt: found " + doubt + ", expected above 0 and below 0.5");
        }
        Job job = Jobs.open(file);
        Sheet asked = Jobs.onlySheet(job, sheet);
        Assembly assembly = Jobs.assembled(job, asked);
        FaultSearch search = searched(job, asked, assembly);
        List<Mend> mends = search.next().isPresent() || search.cannotBe()
                ? List.of()
                : search.verdict().stream()
                        .map(suspect -> Mend.of(assembly, job.practice(), suspect))
                        .toList();
        PrintWriter out = spec.commandLine().getOut();
        int most = all ? Integer.MAX_VALUE : FIRST;
        if (json) {
            out.println(FindingJson.of(asked.name(), search, most, mends));
        } else {
            text(search, mends).forEach(out::println);
        }
        out.flush();
        return search.cannotBe() ? 1 : 0;
    }

    private FaultSearch searched(Job job, Sheet asked, Assembly assembly) {
        try {
            Map<String, Integer> before =
                    FaultHistory.of(LogbookFile.read(LogbookFile.beside(file)), asked.name(), assembly);
            RatingTables tables = JobSizing.tables(job);
            FaultSearch search = FaultSearch.of(assembly, tables, new FaultSearch.Knowledge(newPanel, before, doubt));
            LookNotation notation = new LookNotation(assembly);
            for (String symptom : symptoms) {
                search = search.with(notation.read(symptom));
            }
            for (String reading : readings) {
                search = search.with(notation.read(reading));
            }
            return two ? search.withPairs() : search;
        } catch (FindingException senseless) {
            throw new UsersFaultException(senseless.getMessage());
        } catch (RatingFormatException senseless) {
            throw new UsersFaultException(file + ": tables: " + senseless.getMessage());
        } catch (IOException unreadable) {
            throw new UsersFaultException(
                    LogbookFile.beside(file) + ": cannot be read: " + FileFailure.words(unreadable));
        }
    }

    private List<String> text(FaultSearch search, List<Mend> mends) {
        List<String> lines = new ArrayList<>();
        int fitting = search.fitting().size();
        lines.add(
                search.cannotBe()
                        ? "That cannot be by one fault: a reading is wrong, or more than one thing is"
                                + (two ? "." : " (--two looks for two at once). The nearest:")
                        : fitting + (fitting == 1 ? " suspect fits" : " suspects fit") + " what was seen.");
        if (search.fitsSound()) {
            lines.add("A sound panel shows the same: nothing that was told is wrong.");
        }
        List<Weighed> told = search.ranked().stream()
                .filter(one -> all ? one.fits() : one.share() >= SHOWN_FROM)
                .limit(all ? Integer.MAX_VALUE : FIRST)
                .toList();
        told.forEach(one -> lines.add(String.format(
                "  %4.1f %%  %s%s",
                100 * one.share(),
                one.suspect().words(),
                one.fits() ? "" : "  (" + one.contradicted() + " against it)")));
        lines.add("");
        Optional<Proposal> next = search.next();
        if (next.isPresent()) {
            lines.addAll(next(next.get()));
        } else {
            lines.add("No look that is left tells these apart:");
            mends.forEach(mend -> lines.addAll(words(mend)));
        }
        lines.add("");
        lines.add(FindingJson.ADVICE);
        return lines;
    }

    private static List<String> next(Proposal proposal) {
        List<String> lines = new ArrayList<>();
        lines.add("Look next: " + proposal.look().words());
        proposal.shows().stream().limit(MOST_SHOWN).forEach(show -> lines.add(words(show)));
        if (proposal.shows().size() > MOST_SHOWN) {
            lines.add("         or one of " + (proposal.shows().size() - MOST_SHOWN) + " others");
        }
        lines.add(proposal.why());
        lines.add("Then: --reading \"" + proposal.look().blank() + "\"");
        return lines;
    }

    private static String words(Proposal.Show show) {
        return String.format("  %3.0f %%  %s: %s", 100 * show.share(), show.found(), show.means());
    }

    private static List<String> words(Mend mend) {
        List<String> lines = new ArrayList<>();
        lines.add("  " + mend.suspect().words() + ".");
        mend.deeds().forEach(deed -> lines.add("    " + deed));
        mend.proof()
                .forEach(step -> lines.add("    Test: " + step.words() + " Expected: "
                        + step.expected().text()));
        return lines;
    }
}
