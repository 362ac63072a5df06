package parable.app.sound;

import java.util.Random;

/** Sounds as samples: 16 bits, one channel, the lower byte first. They are quiet, and begin and end at nothing so that no speaker cracks. */
final class Tones {

    /** Samples a second. */
    static final int RATE = 22_050;

    /** The loudest sample, as a share of what there is. */
    static final double LOUDEST = 0.2;

    private static final int BYTES = 2;
    private static final double HORN_HERTZ = 420;

    private Tones() {}

    static byte[] of(Heard.Click click) {
        return switch (click) {
            case CONTACTOR_IN -> knock(0.05, 130, 1);
            case CONTACTOR_OUT -> knock(0.04, 90, 0.6);
            case RELAY_IN -> knock(0.02, 900, 0.4);
            case RELAY_OUT -> knock(0.015, 700, 0.25);
        };
    }

    /** A second of a horn, whole periods, so that it can be repeated without a seam. */
    static byte[] horn() {
        byte[] bytes = new byte[RATE * BYTES];
        for (int i = 0; i < RATE; i++) {
            double phase = 2 * Math.PI * HORN_HERTZ * i / RATE;
            put(bytes, i, 0.5 * (Math.sin(phase) + 0.4 * Math.sin(2 * phase)) / 1.4);
        }
        return bytes;
    }

    /** A blow that dies away: a tone of the iron, and the noise of the contacts, always the same. */
    private static byte[] knock(double seconds, double hertz, double loud) {
        int samples = (int) (seconds * RATE);
        byte[] bytes = new byte[samples * BYTES];
        Random noise = new Random(1);
        for (int i = 0; i < samples; i++) {
            double share = (double) i / (samples - 1);
            double dying = Math.min(1, 40 * share) * Math.pow(1 - share, 3);
            double blow = 0.6 * Math.sin(2 * Math.PI * hertz * i / RATE) + 0.4 * (2 * noise.nextDouble() - 1);
            put(bytes, i, loud * dying * blow);
        }
        return bytes;
    }

    private static void put(byte[] bytes, int sample, double value) {
        int level = (int) Math.round(LOUDEST * value * Short.MAX_VALUE);
        bytes[BYTES * sample] = (byte) level;
        bytes[BYTES * sample + 1] = (byte) (level >> 8);
    }
}
