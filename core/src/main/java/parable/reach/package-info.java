/** Every state that a circuit can reach when each change may take any time. Used by {@code timing} and {@code proof} alone. */
package parable.reach;
