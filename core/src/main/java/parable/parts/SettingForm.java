package parable.parts;

import java.util.List;

/** What can be written for one setting of a device, as it is read when the device is fitted out. */
public sealed interface SettingForm {

    /** The setting as job files call it. */
    String name();

    /** What holds while nothing is written, as it would be written; empty if that is nothing. */
    String byDefault();

    /**
     * A number with a unit.
     *
     * @param unit as it is written behind the number, empty for a plain whole number
     * @param lowest the least that is taken
     * @param highest the most that is taken
     */
    record Quantity(String name, String unit, double lowest, double highest, String byDefault) implements SettingForm {}

    /**
     * One of some words.
     *
     * @param words those that are taken, in their order
     */
    record OneOf(String name, List<String> words, String byDefault) implements SettingForm {
        public OneOf {
            words = List.copyOf(words);
        }
    }

    /**
     * Something that is written out.
     *
     * @param expected what is taken, in words with an example
     */
    record Written(String name, String expected, String byDefault) implements SettingForm {}
}
