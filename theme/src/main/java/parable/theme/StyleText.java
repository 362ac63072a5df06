package parable.theme;

import java.util.Arrays;
import java.util.List;
import java.util.Set;
import java.util.regex.Pattern;
import java.util.stream.Collectors;

/**
 * A style sheet as text: rules one after the other, each a list of selectors and a body in braces.
 *
 * @param rules in their order
 */
record StyleText(List<StyleRule> rules) {

    private static final Pattern COMMENT = Pattern.compile("/\\*.*?\\*/", Pattern.DOTALL);
    private static final Pattern RULE = Pattern.compile("([^{}]+)\\{([^{}]*)}");
    private static final Pattern STYLE_CLASS = Pattern.compile("\\.([A-Za-z][\\w-]*)");

    /**
     * A rule.
     *
     * @param selectors any of which makes it apply
     * @param body what it sets, without braces
     */
    record StyleRule(List<String> selectors, String body) {

        /** The rule with those of its selectors that name no style class but these. */
        StyleRule within(Set<String> classes) {
            return new StyleRule(
                    selectors.stream()
                            .filter(selector -> classes.containsAll(classesOf(selector)))
                            .toList(),
                    body);
        }
    }

    /** Reads a style sheet without rules that begin with {@code @}. */
    static StyleText of(String text) {
        return new StyleText(RULE.matcher(COMMENT.matcher(text).replaceAll(""))
                .results()
                .map(found -> new StyleRule(
                        Arrays.stream(found.group(1).split(","))
                                .map(String::strip)
                                .toList(),
                        found.group(2)))
                .toList());
    }

    /** What of it can apply to something that has no style class but these. */
    StyleText within(Set<String> classes) {
        return new StyleText(rules.stream()
                .map(rule -> rule.within(classes))
                .filter(rule -> !rule.selectors().isEmpty())
                .toList());
    }

    private static Set<String> classesOf(String selector) {
        return STYLE_CLASS
                .matcher(selector)
                .results()
                .map(found -> found.group(1))
                .collect(Collectors.toSet());
    }

    @Override
    public String toString() {
        return rules.stream()
                .map(rule -> String.join(", ", rule.selectors()) + " {" + rule.body() + "}\n")
                .collect(Collectors.joining());
    }
}
