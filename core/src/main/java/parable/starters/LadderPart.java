package parable.starters;

/** What everything that draws a part of a starter's ladder has at hand. */
abstract class LadderPart {

    final Wish wish;
    final Tags tags;
    final Draft draft;
    final ControlPlan control;
    final Ladder ladder;

    LadderPart(Wish wish, Tags tags, Draft draft, ControlPlan control, Ladder ladder) {
        this.wish = wish;
        this.tags = tags;
        this.draft = draft;
        this.control = control;
        this.ladder = ladder;
    }
}
