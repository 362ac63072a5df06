package parable.app.tour;

import java.util.List;
import java.util.Optional;
import java.util.function.Predicate;
import parable.app.job.JobStep;
import parable.bench.Condition;
import parable.card.Pick;

/**
 * One act of the tour.
 *
 * @param words what is to be seen and what is to be done
 * @param target the id of what it is to be done with, empty if that is the drawing
 * @param done whether it has been done; never for the last
 */
record TourStep(String words, String target, Predicate<TourGround> done) {

    /** The tour: trying, asking, a fault, drawing, checking, and where the rest is. */
    static final List<TourStep> ALL = List.of(
            new TourStep(
                    "This is the wash pump: its power circuit, and the ladder that switches it. Live wires are thick and"
                            + " orange. Close the breaker Q1: click its frame on the drawing.",
                    "spot-Q1",
                    ground -> ground.condition("Q1") == Condition.CLOSED),
            new TourStep(
                    "Press Start on the door, and let go. K1 pulls in, and its own contact holds it in.",
                    "actuator-S1",
                    ground -> ground.condition("K1") == Condition.IN),
            new TourStep("Press Stop.", "actuator-S0", ground -> ground.condition("K1") == Condition.OUT),
            new TourStep(
                    "Why is K1 off? Click K1 on the drawing. The way of the current is numbered there, and the card says what is open in it.",
                    "",
                    ground -> ground.selected().equals(Optional.of(new Pick.OfDevice("K1")))),
            new TourStep(
                    "Now a fault. Click K1 with the right mouse button and choose: K1 1-2 is welded closed.",
                    "",
                    ground -> ground.faults() > 0),
            new TourStep(
                    "The starter does not know that a pole is welded. Press Start and Stop and see what runs on. Then take the"
                            + " fault out: right mouse button on K1.",
                    "",
                    ground -> ground.faults() == 0),
            new TourStep(
                    "Now draw. The steps of the job are on the left, from the first line to the record. Go to Draw.",
                    "step-draw",
                    ground -> ground.step() == JobStep.DRAW),
            new TourStep(
                    "Come near a wire with the pointer: a plus shows where something can go. A whole step of the trade goes in at once:"
                            + " right mouse button on the coil of K1, Whole steps, One more station.",
                    "",
                    ground -> ground.edited()),
            new TourStep(
                    "Everything can be undone, as often as you like. Press Undo.", "undo", ground -> !ground.edited()),
            new TourStep(
                    "What is wrong with a drawing is told in Check.",
                    "step-check",
                    ground -> ground.step() == JobStep.CHECK),
            new TourStep(
                    "The rules read the drawing. This explores every order of events, however fast, and proves what the starter"
                            + " must and must not do, or shows how it fails.",
                    "prove",
                    TourGround::proved),
            new TourStep(
                    "PLC translates it, Wire lists every wire to be ticked off, Test asks for each reading, Record keeps them with your"
                            + " name. Look into Wire.",
                    "step-wire",
                    ground -> ground.step() == JobStep.WIRE),
            new TourStep(
                    "That is all. New sheets begin at All sheets: by questions, from the library, or empty. F1 has every key. What you"
                            + " see here advises; local code and licensed practice decide.",
                    "all-sheets",
                    ground -> false));
}
