package parable.starters;

/** What everything that draws a part of a starter's ladder has at hand. */
abstract class LadderPart {

    final Wish wish;
    final Tags tags;
    final SheetDraft draft;
    final ControlPlan control;
    final LadderDraft ladder;

    LadderPart(Wish wish, Tags tags, SheetDraft draft, ControlPlan control, LadderDraft ladder) {
        this.wish = wish;
        this.tags = tags;
        this.draft = draft;
        this.control = control;
        this.ladder = ladder;
    }
}
