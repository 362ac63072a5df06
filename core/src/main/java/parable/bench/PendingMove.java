package parable.bench;

/**
 * A contact group on its way.
 *
 * @param time when it arrives, in microseconds
 * @param group which group
 * @param closes true if it closes then
 * @param cause the story line that set it going
 */
record PendingMove(long time, int group, boolean closes, int cause) {}
