package parable.files;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import parable.training.Attempt;
import parable.training.Score;

/**
 * What learners have done, a JSON object a line, the last one last. Each attempt is in the file, whole, before it is told that it is; a kill leaves the file as it was
 * before or after.
 */
public final class ProgressFile {

    private static final ObjectMapper JSON = new ObjectMapper();
    private static final long LONGEST = 16 * 1024 * 1024;
    private static final List<String> HEADER = List.of(
            "Learner",
            "Task",
            "Seed",
            "On",
            "Solved",
            "Looks",
            "Minutes",
            "Wrong",
            "Parts in vain",
            "Dangers",
            "Shortest way, looks",
            "Shortest way, minutes");

    private ProgressFile() {}

    /**
     * All attempts; none if there is no such file.
     *
     * @throws IOException if it cannot be read
     * @throws JobFormatException if a line is no attempt
     */
    public static List<Attempt> read(Path file) throws IOException, JobFormatException {
        if (!Files.exists(file)) {
            return List.of();
        }
        if (Files.size(file) > LONGEST) {
            throw new JobFormatException(1, "", Files.size(file) + " bytes", "at most " + LONGEST);
        }
        List<String> lines =
                Files.readString(file, StandardCharsets.UTF_8).lines().toList();
        List<Attempt> attempts = new ArrayList<>();
        for (int i = 0; i < lines.size(); i++) {
            if (!lines.get(i).isBlank()) {
                attempts.add(attempt(lines.get(i), i + 1));
            }
        }
        return attempts;
    }

    private static Attempt attempt(String line, int number) throws JobFormatException {
        try {
            Located read = JsonText.read(line);
            List<String> dangers = new ArrayList<>();
            for (Located danger : read.required("dangers").entries()) {
                dangers.add(danger.text());
            }
            return new Attempt(
                    read.required("learner").text(),
                    read.required("task").text(),
                    Long.parseLong(read.required("seed").text()),
                    read.required("on").text(),
                    new Score(
                            read.required("solved").text().equals("yes"),
                            read.required("looks").count(),
                            Double.parseDouble(read.required("minutes").text()),
                            read.required("wrong").count(),
                            read.required("parts in vain").count(),
                            dangers),
                    read.required("best").count(),
                    Double.parseDouble(read.required("best minutes").text()));
        } catch (NumberFormatException senseless) {
            throw new JobFormatException(number, "", "no number: " + senseless.getMessage(), "an attempt at a task");
        }
    }

    /**
     * Puts an attempt behind those that there are.
     *
     * @throws IOException if the file cannot be written; it is as before then
     * @throws JobFormatException if what is there are no attempts; it is left alone then
     */
    public static void add(Path file, Attempt attempt) throws IOException, JobFormatException {
        read(file);
        String before = Files.exists(file) ? Files.readString(file, StandardCharsets.UTF_8) : "";
        String whole = before + (before.isEmpty() || before.endsWith("\n") ? "" : "\n") + line(attempt) + "\n";
        WholeFile.write(file, whole.getBytes(StandardCharsets.UTF_8));
    }

    private static String line(Attempt attempt) {
        Score score = attempt.score();
        ObjectNode line = JSON.createObjectNode();
        line.put("learner", attempt.learner());
        line.put("task", attempt.task());
        line.put("seed", Long.toString(attempt.seed()));
        line.put("on", attempt.on());
        line.put("solved", score.solved() ? "yes" : "no");
        line.put("looks", score.looks());
        line.put("minutes", minutes(score.minutes()));
        line.put("wrong", score.wrong());
        line.put("parts in vain", score.inVain());
        score.dangers().forEach(line.putArray("dangers")::add);
        line.put("best", attempt.bestLooks());
        line.put("best minutes", minutes(attempt.bestMinutes()));
        try {
            return JSON.writeValueAsString(line);
        } catch (JsonProcessingException impossible) {
            throw new IllegalStateException("an attempt cannot be written", impossible);
        }
    }

    private static String minutes(double minutes) {
        return String.format(Locale.ROOT, "%.1f", minutes);
    }

    /** Attempts as a table for a spreadsheet. */
    public static String csv(List<Attempt> attempts) {
        return CsvTable.text(
                new Table(HEADER, attempts.stream().map(ProgressFile::row).toList()));
    }

    private static List<String> row(Attempt attempt) {
        Score score = attempt.score();
        return List.of(
                attempt.learner(),
                attempt.task(),
                Long.toString(attempt.seed()),
                attempt.on(),
                score.solved() ? "yes" : "no",
                Integer.toString(score.looks()),
                minutes(score.minutes()),
                Integer.toString(score.wrong()),
                Integer.toString(score.inVain()),
                String.join(" ", score.dangers()),
                Integer.toString(attempt.bestLooks()),
                minutes(attempt.bestMinutes()));
    }
}
