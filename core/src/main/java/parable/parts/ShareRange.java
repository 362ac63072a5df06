package parable.parts;

/**
 * A share of rated voltage that is not known exactly.
 *
 * @param lowest the lowest that it may be, above 0
 * @param nominal what the bench takes, from lowest to highest
 * @param highest the highest that it may be
 */
public record ShareRange(double lowest, double nominal, double highest) {

    public ShareRange {
        if (!(lowest > 0 && lowest <= nominal && nominal <= highest)) {
            throw new IllegalArgumentException(
                    "a share is above 0 and its range in order, found " + lowest + ", " + nominal + ", " + highest);
        }
    }
}
