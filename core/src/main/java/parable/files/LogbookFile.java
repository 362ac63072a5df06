package parable.files;

import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.channels.FileChannel;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import parable.logbook.LogEntry;
import parable.logbook.Logbook;

/** The logbook of a job: a file beside it with one JSON object a line, to which lines are only ever added. */
public final class LogbookFile {

    private static final String ENDING = ".logbook.jsonl";
    private static final String JOB_ENDING = ".parable.json";

    private LogbookFile() {}

    /** The logbook that belongs to a job file. */
    public static Path beside(Path job) {
        String name = job.getFileName().toString();
        String bare = name.endsWith(JOB_ENDING) ? name.substring(0, name.length() - JOB_ENDING.length()) : name;
        return job.resolveSibling(bare + ENDING);
    }

    /**
     * Reads a logbook; empty if the file does not exist.
     *
     * @throws IOException if it cannot be read
     * @throws JobFormatException if a line is no entry; whether the entries are as they were made is for {@link Logbook#tampered(String)} to say
     */
    public static Logbook read(Path file) throws IOException, JobFormatException {
        if (!Files.exists(file)) {
            return Logbook.EMPTY;
        }
        List<LogEntry> entries = new ArrayList<>();
        int number = 0;
        for (String line : Files.readAllLines(file)) {
            number++;
            if (!line.isBlank()) {
                entries.add(entry(line, number));
            }
        }
        return new Logbook(entries);
    }

    private static LogEntry entry(String line, int number) throws JobFormatException {
        try {
            Located read = JsonText.read(line);
            Map<String, String> readings = new LinkedHashMap<>();
            for (Map.Entry<String, Located> one : read.required("readings").fields()) {
                readings.put(one.getKey(), one.getValue().value().asText());
            }
            return new LogEntry(
                    read.required("number").value().intValue(),
                    words(read, "on"),
                    words(read, "by"),
                    words(read, "machine"),
                    words(read, "revision"),
                    LogEntry.Kind.ofWords(read.required("kind").text()),
                    words(read, "text"),
                    readings,
                    read.required("corrects").value().intValue(),
                    words(read, "before"),
                    words(read, "seal"));
        } catch (JobFormatException broken) {
            throw new JobFormatException(number, broken.field(), broken.found(), broken.expected());
        }
    }

    /** A text that may be empty. */
    private static String words(Located entry, String field) throws JobFormatException {
        Located found = entry.required(field);
        return found.value().isTextual() && found.value().textValue().isEmpty() ? "" : found.text();
    }

    /**
     * Lets the logbook of a job go with it to another file; one that is there already stays.
     *
     * @throws IOException if it could not be copied
     */
    public static void follow(Path job, Path to) throws IOException {
        Path from = beside(job);
        Path target = beside(to);
        if (Files.exists(from) && !Files.exists(target)) {
            WholeFile.write(target, Files.readAllBytes(from));
        }
    }

    /**
     * Adds the last entry of a logbook to its file, and makes sure that it is on the disk.
     *
     * @throws IOException if it could not be written; the entries that were there are untouched
     */
    public static void append(Path file, Logbook logbook) throws IOException {
        String line = line(logbook.entries().get(logbook.entries().size() - 1)) + "\n";
        long length = Files.exists(file) ? Files.size(file) : 0;
        try (FileChannel channel = FileChannel.open(file, StandardOpenOption.CREATE, StandardOpenOption.WRITE)) {
            channel.position(length);
            try {
                ByteBuffer bytes = ByteBuffer.wrap(line.getBytes(StandardCharsets.UTF_8));
                while (bytes.hasRemaining()) {
                    channel.write(bytes);
                }
                channel.force(true);
            } catch (IOException half) {
                channel.truncate(length);
                throw half;
            }
        }
    }

    private static String line(LogEntry entry) {
        ObjectNode node = JsonNodeFactory.instance.objectNode();
        node.put("number", entry.number());
        node.put("on", entry.on());
        node.put("by", entry.by());
        node.put("machine", entry.machine());
        node.put("revision", entry.revision());
        node.put("kind", entry.kind().words());
        node.put("text", entry.text());
        ObjectNode readings = node.putObject("readings");
        entry.readings().forEach(readings::put);
        node.put("corrects", entry.corrects());
        node.put("before", entry.before());
        node.put("seal", entry.seal());
        return node.toString();
    }
}
