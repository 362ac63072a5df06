package parable.starters;

import java.util.HashMap;
import java.util.Map;
import parable.circuit.Practice;

/** What the devices of a starter are called: by IEC 81346 letters, or in the North American manner. */
final class Tags {

    private final boolean northAmerican;
    private final Map<String, String> others = new HashMap<>();
    private int pushButtons;

    Tags(Practice practice) {
        northAmerican = practice == Practice.NORTH_AMERICAN;
    }

    private String tag(String iec, String american) {
        String tag = northAmerican ? american : iec;
        others.put(tag, northAmerican ? iec : american);
        return tag;
    }

    /** What a device is called in the other practice, empty if it was not given a tag here. */
    String inOtherPractice(String tag) {
        return others.getOrDefault(tag, "");
    }

    /** Metal that is no device: the mounting plate, the door, a station; from 1. */
    String metal(int number) {
        return tag("UC" + number, "ENC" + number);
    }

    String supply() {
        return tag("G1", "G1");
    }

    String breaker() {
        return tag("Q1", "CB1");
    }

    String overload() {
        return tag("F2", "OL");
    }

    String motor() {
        return tag("M1", "MTR1");
    }

    String contactor() {
        return tag("K1", "M");
    }

    String forward() {
        return tag("K1", "F");
    }

    String reverse() {
        return tag("K2", "R");
    }

    String brake() {
        return tag("K2", "BR");
    }

    String main() {
        return tag("KM", "1M");
    }

    String star() {
        return tag("KY", "S");
    }

    String delta() {
        return tag("KD", "2M");
    }

    String interlock() {
        return tag("X1", "MI");
    }

    String timer() {
        return tag("KT", "TR");
    }

    /** The timer of the warning, where another one already has the name of the only one. */
    String warningTimer() {
        return tag("KT2", "TR2");
    }

    String relay() {
        return tag("KA", "CR");
    }

    String transformer() {
        return tag("T1", "T1");
    }

    String directSupply() {
        return tag("G2", "PS");
    }

    String rectifier() {
        return tag("V1", "REC");
    }

    String resistor() {
        return tag("R1", "RES");
    }

    String horn() {
        return tag("H1", "AH");
    }

    String emergencyStop() {
        return tag("S4", "ES");
    }

    String mode() {
        return tag("S5", "SS1");
    }

    String process() {
        return tag("S6", "FS1");
    }

    String zeroSpeed() {
        return tag("S9", "ZS");
    }

    /** The end switch of the forward (1) or reverse (2) travel. */
    String end(int which) {
        return tag("S" + (6 + which), "LS" + which);
    }

    /** The switch beyond the end of the forward (1) or reverse (2) travel. */
    String overTravel(int which) {
        return tag("S" + (10 + which), "LS" + (2 + which));
    }

    /** A fuse, from 1. */
    String fuse(int number) {
        return tag(number == 1 ? "F1" : "F" + (number + 1), "FU" + number);
    }

    /** A fuse before the rectifier of the brake, from 1. */
    String brakeFuse(int number) {
        return tag("F" + (number + 5), "FU" + (number + 5));
    }

    /** A lamp, from 1. */
    String lamp(int number) {
        return tag("P" + number, "LT" + number);
    }

    /** The next push button; in IEC practice by its own number, in North American practice in the order of asking. */
    String pushButton(int iecNumber) {
        pushButtons++;
        return tag("S" + iecNumber, "PB" + pushButtons);
    }
}
