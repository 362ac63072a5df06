package parable.starters;

import java.util.ArrayList;
import java.util.List;
import parable.circuit.Duty;
import parable.circuit.Sheet;
import parable.parts.Assembly;
import parable.parts.PartException;
import parable.plc.Translation;
import parable.plc.TranslationChoices;
import parable.plc.TranslationException;

/**
 * A starter of the library.
 *
 * @param sheet the sheet
 * @param reasons why it is as it is, a sentence for each choice
 */
public record Starter(Sheet sheet, List<String> reasons) {

    /** Not modified: the list is copied. */
    public Starter {
        reasons = List.copyOf(reasons);
    }

    /**
     * Draws what was wished for.
     *
     * @throws IllegalArgumentException if the wish has a {@link Wish#conflict()}
     */
    public static Starter of(Wish wish) {
        wish.conflict().ifPresent(words -> {
            throw new IllegalArgumentException(words);
        });
        List<String> reasons = new ArrayList<>(reasons(wish));
        Sheet drawn = new Drawing(wish).sheet();
        return wish.has(ControlBy.CONTROLLER)
                ? new Starter(translated(wish, drawn, reasons), reasons)
                : new Starter(drawn, reasons);
    }

    /** The relay sheet as that of a controller; what became of each part is added to the reasons. */
    private static Sheet translated(Wish wish, Sheet drawn, List<String> reasons) {
        try {
            Translation translation =
                    Translation.of(Assembly.of(drawn, wish.tables()), wish.practice(), TranslationChoices.PROPOSED);
            translation.splits().forEach(split -> reasons.add(split.what() + ": " + split.why()));
            return translation.sheet().named(wish.name());
        } catch (TranslationException | PartException impossible) {
            throw new IllegalStateException("the library draws what cannot be translated: " + wish.name(), impossible);
        }
    }

    /**
     * Draws the power circuit and the control supply of what was wished for, with contactors and motor, but no ladder.
     *
     * @throws IllegalArgumentException if the wish has a {@link Wish#conflict()}
     */
    public static Sheet withoutLadder(Wish wish) {
        wish.conflict().ifPresent(words -> {
            throw new IllegalArgumentException(words);
        });
        Drawing drawing = new Drawing(wish);
        drawing.withoutLadder();
        return drawing.finished();
    }

    private static List<String> reasons(Wish wish) {
        return Question.all().stream()
                .map(question -> wish.answer(question))
                .map(answer -> answer.words() + ": " + answer.why())
                .toList();
    }

    /** The drawing of one wish, from the supply to the last lamp. */
    private static final class Drawing {

        private final Wish wish;
        private final Tags tags;
        private final SheetDraft draft;
        private final ControlPlan control;
        private final LadderDraft ladder;

        Drawing(Wish wish) {
            this.wish = wish;
            tags = new Tags(wish.practice());
            draft = SheetDraft.named(wish.name(), duty(wish));
            control = new ControlPlan(wish, tags, draft);
            ladder = new LadderDraft(wish, tags, draft, control);
        }

        private static Duty duty(Wish wish) {
            return wish.has(Starting.START_STOP) ? Duty.MAINTAINED : Duty.AUTOMATIC_RESTART;
        }

        Sheet sheet() {
            withoutLadder();
            drawLadder();
            return finished();
        }

        void withoutLadder() {
            PowerPlan power = new PowerPlan(wish, tags, draft, mainContactor());
            control.rails();
            power.feed();
            control.devices();
            contactors();
            power.motor();
            power.columns();
            furtherColumns(power);
            control.columns();
        }

        private Sheet finished() {
            new PowerPlan(wish, tags, draft, mainContactor()).protectiveConductors();
            return new TransformerRating(wish, tags).on(draft.alsoKnownBy(tags).sheet());
        }

        private String mainContactor() {
            if (!wish.has(Running.DIRECT)) {
                return tags.main();
            }
            return wish.has(Directions.ONE) ? tags.contactor() : tags.forward();
        }

        private void contactors() {
            if (!wish.has(Running.DIRECT)) {
                new StarDelta(wish, tags, draft, control, ladder).contactors();
            } else if (!wish.has(Directions.ONE)) {
                new TwoDirections(wish, tags, draft, control, ladder).contactors();
            } else if (!wish.has(Braking.NONE)) {
                new BrakeAndWarning(wish, tags, draft, control, ladder).brakeDevices();
            } else if (!wish.has(Warning.NONE)) {
                new BrakeAndWarning(wish, tags, draft, control, ladder).warningDevices();
            } else {
                new OneDirection(wish, tags, draft, control, ladder).contactors();
            }
        }

        private void furtherColumns(PowerPlan power) {
            if (!wish.has(Running.DIRECT)) {
                power.delta();
            }
            if (!wish.has(Directions.ONE)) {
                power.swap();
            }
            if (!wish.has(Braking.NONE)) {
                power.brake();
            }
            if (!wish.has(Warning.NONE)) {
                control.hornColumns();
            }
        }

        private void drawLadder() {
            switch (wish.choice(Running.class)) {
                case STAR_DELTA_BY_STAR -> new StarDelta(wish, tags, draft, control, ladder).mainByStar();
                case STAR_DELTA_DIRECT, STAR_DELTA_DEAD_TIME -> new StarDelta(wish, tags, draft, control, ladder)
                        .mainDirect();
                case DIRECT -> drawDirect();
            }
        }

        private void drawDirect() {
            BrakeAndWarning special = new BrakeAndWarning(wish, tags, draft, control, ladder);
            TwoDirections reversing = new TwoDirections(wish, tags, draft, control, ladder);
            if (!wish.has(Directions.ONE)) {
                if (wish.has(Directions.SELECTOR)) {
                    reversing.bySelector();
                } else {
                    reversing.byButtons();
                }
            } else if (!wish.has(Braking.NONE)) {
                special.brake();
            } else if (wish.has(Warning.FROM_POWER_UP)) {
                special.warningFromPowerUp();
            } else if (wish.has(Warning.FROM_START)) {
                special.warningFromStart();
            } else {
                drawOneDirection(new OneDirection(wish, tags, draft, control, ladder));
            }
        }

        private void drawOneDirection(OneDirection one) {
            switch (wish.choice(Jogging.class)) {
                case SELECTOR -> one.jogBySelector();
                case RELAY -> one.jogByRelay();
                case TWO_BLOCK_BUTTON -> one.jogByTwoBlocks();
                case NONE -> {
                    if (wish.has(Starting.START_STOP)) {
                        one.startStop();
                    } else {
                        one.maintained();
                    }
                }
            }
        }
    }
}
