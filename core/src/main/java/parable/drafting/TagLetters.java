package parable.drafting;

import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;

/**
 * The kind of device that a tag calls for, by its letters: those of IEC 81346-2 as they are used for starters, and those of
 * North American practice.
 */
final class TagLetters {

    private static final Map<String, String> KINDS = new LinkedHashMap<>();

    static {
        KINDS.put("KT|TR|TD", "timer");
        KINDS.put("KA|CR|KF", "control-relay");
        KINDS.put("MTR", "three-phase-motor");
        KINDS.put("CB", "circuit-breaker");
        KINDS.put("FU", "fuse");
        KINDS.put("OL", "overload-relay");
        KINDS.put("PB", "push-button");
        KINDS.put("LT|PL", "pilot-lamp");
        KINDS.put("SW|SS", "selector");
        KINDS.put("LS", "limit-switch");
        KINDS.put("FS", "float-switch");
        KINDS.put("ZS", "zero-speed-switch");
        KINDS.put("ES", "emergency-stop");
        KINDS.put("AH", "horn");
        KINDS.put("UC|ENC", "metal-part");
        KINDS.put("K|[0-9]M", "contactor");
        KINDS.put("S", "push-button");
        KINDS.put("P", "pilot-lamp");
        KINDS.put("H", "horn");
        KINDS.put("B", "limit-switch");
        KINDS.put("F", "overload-relay");
        KINDS.put("Q", "circuit-breaker");
        KINDS.put("M", "three-phase-motor");
    }

    private TagLetters() {}

    /** The kind for a tag such as {@code K1}, empty if its letters say nothing. */
    static Optional<String> kindFor(String tag) {
        return KINDS.entrySet().stream()
                .filter(entry -> tag.matches("(" + entry.getKey() + ")[A-Z]?[0-9.]*"))
                .map(Map.Entry::getValue)
                .findFirst();
    }
}
