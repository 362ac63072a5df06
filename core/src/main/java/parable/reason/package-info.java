/** Why something is on or off at an instant, and what would change that. */
package parable.reason;
