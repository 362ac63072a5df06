/** Finding a fault at a panel: what may be wrong, what to look at next, and what it is. */
package parable.finding;
