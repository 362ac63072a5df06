package parable.theme;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What a style sheet has for things with certain style classes, and nothing else of it. */
class StyleTextTest {

    private static String cut(String text, String... classes) {
        return StyleText.of(text).within(Set.of(classes)).toString();
    }

    @ParameterizedTest
    @CsvSource({
        ".button, true",
        ".button:hover, true",
        ".button > .text, true",
        "Text, true",
        "*, true",
        "#save.button, true",
        ".button.large, false",
        ".large > .button, false",
        ".buttons, false",
        ".button-bar, false"
    })
    void aRuleIsLeftIfAllClassesOfItsSelectorAre(String selector, boolean left) {
        String rule = selector + " { -fx-padding: 1.5em; }\n";
        assertThat(cut(rule, "button", "text")).isEqualTo(left ? rule : "");
    }

    @Test
    void ofARuleForSeveralThingsTheOthersGo() {
        assertThat(cut(".chart,\n.button ,.tree-view .button { a: 1; b: rgb(1, 2, 3); }", "button"))
                .isEqualTo(".button { a: 1; b: rgb(1, 2, 3); }\n");
    }

    @Test
    void theOrderStaysBecauseTheLastRuleHolds() {
        assertThat(cut(".button { a: 1; }\n.chart { a: 2; }\n.button { a: 3; }\n", "button"))
                .isEqualTo(".button { a: 1; }\n.button { a: 3; }\n");
    }

    @Test
    void whatIsInACommentIsNoRule() {
        assertThat(cut("/* .button { a: 1; } */ .button { /* of a\nkind */ a: 2; }", "button"))
                .isEqualTo(".button {  a: 2; }\n");
    }
}
